import { Button, Group, Stack, Text } from '@mantine/core';
import { useMemo, useRef, useState } from 'react';
import type { Api } from '../api';
import { useKeys } from '../shared/keys';
import { Trouble } from '../shared/Notes';
import { useStable } from '../shared/useStable';
import { ChangeAll, useChangeAll } from './ChangeAll';
import { Conflict } from './Conflict';
import type { Desk } from './desk';
import type { Start, Typed } from './draft';
import { Editor, type EditorHandle } from './Editor';
import { EntryHead } from './EntryHead';
import { EntryMusic } from './EntryMusic';
import { FileDialog } from './FileDialog';
import { Findings } from './Findings';
import { Keyboard } from './Keyboard';
import { KeyStrip, PRESSED } from './KeyStrip';
import { barAt } from './lines';
import { keepPast, pastOf } from './past';
import { useDraft } from './useDraft';
import { useEntryKeys } from './useEntryKeys';
import { usePreview } from './usePreview';
import { useSave } from './useSave';

type Piece = Api['PieceResource'];

const NO_ERRORS: Api['ShorthandErrorResource'][] = [];

interface Props {
    /** Names the draft in this browser, and in the API. */
    place: string;
    desk: Desk;
    start: Start;
    saved: Typed;
    piece: Piece | null;
    /** Where a new piece goes; null for a correction. */
    pageId: number | null;
    /** What the shorthand has no word for in the piece as it is saved. */
    unsaid: string[];
    where: string;
}

/** The shorthand on the left, its engraving on the right as it is typed, a piano below. */
export function EntryDesk({ place, desk, start, saved, piece, pageId, unsaid, where }: Props) {
    const editor = useRef<EditorHandle>(null);
    const piano = useRef<HTMLDivElement>(null);
    const player = useRef<HTMLDivElement>(null);
    const [typed, setTyped] = useState<Typed>({ text: start.text, label: start.label });
    const [cursor, setCursor] = useState<readonly [number, number]>([0, 0]);
    const [checked, setChecked] = useState<string[]>([]);
    const [file, setFile] = useState<File | null>(null);
    const [brought, setBrought] = useState<Api['CheckResource'][]>([]);
    const [transposing, setTransposing] = useState(false);
    const draft = useDraft(place, desk, start);
    const { preview, text: of, error, look } = usePreview(start.text);

    const change = (next: Typed) => {
        setTyped(next);
        draft.keep(next);
    };
    // The same all along, so that the head and the piano are not drawn anew with each letter.
    const before = useStable(() => editor.current?.before() ?? '');
    const type = useStable((token: string, joined?: boolean) => editor.current?.type(token, joined));
    const onLabel = useStable((label: string) => change({ ...typed, label }));
    const onSave = useStable(() => trySave());
    const replace = (text: string) => editor.current?.replace(text);
    const all = useChangeAll(() => editor.current?.text() ?? '', replace);
    const { save, done, overtaken, settle } = useSave({ place, piece, pageId, endDraft: draft.end });
    const ready = of === typed.text && preview?.errors.length === 0 && preview.music !== null;
    const trySave = () => ready && !save.isPending && save.mutate({ typed, revision: piece?.revision });
    const goTo = (id: string) => {
        const span = preview?.spans.find((one) => one.id === id);
        if (span !== undefined) editor.current?.select(span.line, span.column, span.length);
    };
    useKeys(PRESSED.map(([key, does]) => ({ key: `${key} `, does, run: () => {} })));
    useEntryKeys({
        enter: trySave,
        escape: () => (piano.current?.contains(document.activeElement) ? editor.current?.focus() : false),
        l: () => player.current?.querySelector('button')?.click(),
        k: () => piano.current?.querySelector<HTMLElement>('.piano [tabindex="0"]')?.focus(),
        h: () => all.mutate({ change: 'swap' }),
        t: () => setTransposing(true),
    });

    const more = useMemo(
        () => <ChangeAll change={all} transposing={transposing} setTransposing={setTransposing} />,
        [all, transposing],
    );

    return (
        <Stack gap="xs">
            <EntryHead
                title={piece === null ? 'A new piece' : piece.title}
                where={where}
                kept={draft.state}
                label={typed.label}
                onLabel={onLabel}
                onFile={setFile}
                onSave={onSave}
                saving={save.isPending}
                ready={ready}
                more={more}
            />
            <Trouble error={overtaken === null ? (save.error ?? (transposing ? null : all.error) ?? error) : null} />
            <Conflict
                mine={typed}
                theirs={draft.other}
                choose={(mine) => {
                    const now = draft.settle(mine);
                    setTyped(now);
                    if (!mine) replace(now.text);
                }}
            />
            <Conflict
                mine={typed}
                theirs={overtaken && { text: overtaken.shorthand ?? '', label: overtaken.label }}
                choose={(mine) => settle(mine, typed)}
            />
            {unsaid.length > 0 && (
                <Text size="sm" role="note">
                    This piece came as a file. The shorthand has no word for the following, and it is lost when the
                    piece is saved from here: {unsaid.join(' ')}
                </Text>
            )}
            {start.from !== 'saved' && typed.text !== saved.text && (
                <Group gap="xs">
                    <Text size="sm">This is what you had typed before.</Text>
                    <Button size="compact-sm" variant="default" onClick={() => replace(saved.text)}>
                        {piece === null ? 'Begin again' : 'Back to what is saved'}
                    </Button>
                </Group>
            )}
            <div className="entry">
                <Stack gap={6}>
                    <Editor
                        ref={editor}
                        text={start.text}
                        past={pastOf(place)}
                        errors={preview?.errors ?? NO_ERRORS}
                        of={of}
                        onChange={(text, past) => {
                            look(text);
                            change({ text, label: typed.label });
                            setChecked([]);
                            keepPast(place, past);
                        }}
                        onCursor={(from, to) => {
                            setCursor([from, to]);
                            setChecked([]);
                        }}
                    />
                    <Findings
                        preview={preview}
                        typing={
                            cursor[0] === cursor[1]
                                ? barAt(typed.text, of === typed.text ? preview?.spans : [], cursor[0])
                                : null
                        }
                        brought={brought}
                        onError={(one) => editor.current?.select(one.line, one.column, one.length)}
                        onCheck={(check) => {
                            if (check.events[0] !== undefined) goTo(check.events[0]);
                            setChecked(check.events);
                        }}
                        onFix={(fix) => editor.current?.apply(fix.edits)}
                    />
                    <KeyStrip />
                </Stack>
                <div className="sheet entry-music">
                    <EntryMusic
                        text={typed.text}
                        preview={preview}
                        of={of}
                        cursor={cursor}
                        checked={checked}
                        player={player}
                        onNote={goTo}
                    />
                </div>
            </div>
            <div ref={piano}>
                <Keyboard before={before} type={type} />
            </div>
            {file !== null && (
                <FileDialog
                    file={file}
                    pageId={pageId}
                    label={typed.label}
                    onClose={() => setFile(null)}
                    onStored={done}
                    onText={(reading) => {
                        setFile(null);
                        setBrought(reading.notRead);
                        replace(reading.shorthand);
                    }}
                />
            )}
        </Stack>
    );
}
