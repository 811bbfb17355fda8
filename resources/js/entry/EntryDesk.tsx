import { Button, Group, Stack, Text } from '@mantine/core';
import { type RefObject, useMemo, useRef, useState } from 'react';
import type { Api } from '../api';
import { useKeys } from '../shared/keys';
import { Trouble } from '../shared/Notes';
import { useStable } from '../shared/useStable';
import { t } from '../text';
import { ChangeAll } from './ChangeAll';
import { Conflict } from './Conflict';
import { Editor } from './Editor';
import styles from './EntryDesk.module.css';
import { EntryHead } from './EntryHead';
import { EntryMusic } from './EntryMusic';
import { FileDialog } from './FileDialog';
import { Findings } from './Findings';
import { Keyboard } from './Keyboard';
import { KeyStrip, PRESSED } from './KeyStrip';
import { barAt } from './lines';
import { pastOf } from './past';
import { type Entry, type EntryOf, useEntry } from './useEntry';
import { useEntryKeys } from './useEntryKeys';

interface Props extends EntryOf {
    /** What the shorthand has no word for in the piece as it is saved. */
    unsaid: string[];
    where: string;
}

/** The shorthand on the left, its engraving on the right as it is typed, a piano below. */
export function EntryDesk(props: Props) {
    const { piece, pageId, where } = props;
    const entry = useEntry(props);
    const piano = useRef<HTMLDivElement>(null);
    const player = useRef<HTMLDivElement>(null);
    const [file, setFile] = useState<File | null>(null);
    const [brought, setBrought] = useState<Api['CheckResource'][]>([]);
    const [transposing, setTransposing] = useState(false);
    const { all } = entry;
    useDeskKeys(entry, piano, player, () => setTransposing(true));
    // The same all along, so that the head and the piano are not drawn anew with each letter.
    const before = useStable(() => entry.editor.current?.before() ?? '');
    const type = useStable((token: string, joined?: boolean) => entry.editor.current?.type(token, joined));
    const onLabel = useStable((label: string) => entry.label(label));
    const onSave = useStable(() => entry.save());
    const more = useMemo(
        () => <ChangeAll change={all} transposing={transposing} setTransposing={setTransposing} />,
        [all, transposing],
    );
    const onText = (reading: Api['ReadingResource']) => {
        setFile(null);
        setBrought(reading.notRead);
        entry.replace(reading.shorthand);
    };
    return (
        <Stack gap="xs">
            <EntryHead
                title={piece === null ? t('A new piece') : piece.title}
                where={where}
                kept={entry.draft.state}
                label={entry.typed.label}
                onLabel={onLabel}
                onFile={setFile}
                onSave={onSave}
                saving={entry.isSaving}
                ready={entry.isReady}
                pageId={pageId}
                more={more}
            />
            <Standing entry={entry} of={props} allError={transposing ? null : all.error} />
            <TypedAndMusic entry={entry} of={props} brought={brought} player={player} />
            <div ref={piano}>
                <Keyboard before={before} type={type} />
            </div>
            {file !== null && (
                <FileDialog
                    {...{ file, pageId, onText }}
                    label={entry.typed.label}
                    onClose={() => setFile(null)}
                    onStored={entry.done}
                />
            )}
        </Stack>
    );
}

type Part = RefObject<HTMLDivElement | null>;

function useDeskKeys(entry: Entry, piano: Part, player: Part, transpose: () => void) {
    useKeys(PRESSED.map(([key, does]) => ({ key: `${key} `, does, run: () => {} })));
    useEntryKeys({
        enter: entry.save,
        escape: () => (piano.current?.contains(document.activeElement) ? entry.editor.current?.focus() : false),
        l: () => player.current?.querySelector('button')?.click(),
        k: () => piano.current?.querySelector<HTMLElement>('.piano [tabindex="0"]')?.focus(),
        h: () => entry.all.mutate({ change: 'swap' }),
        t: transpose,
    });
}

/** What went wrong, what stands elsewhere, and what is lost: with the way out of each. */
function Standing({ entry, of, allError }: { entry: Entry; of: Props; allError: unknown }) {
    const { typed, overtaken } = entry;
    return (
        <>
            <Trouble error={overtaken === null ? (entry.saveError ?? allError ?? entry.error) : null} />
            <Conflict mine={typed} theirs={entry.draft.other} choose={entry.settleDraft} />
            <Conflict
                mine={typed}
                theirs={overtaken && { text: overtaken.shorthand ?? '', label: overtaken.label }}
                choose={entry.settleSaved}
            />
            {of.unsaid.length > 0 && (
                <Text size="sm" role="note">
                    {t(
                        'This piece came as a file. The shorthand has no word for the following, and it is lost when the piece is saved from here: {{unsaid}}',
                        { unsaid: of.unsaid.join(' ') },
                    )}
                </Text>
            )}
            {of.start.from !== 'saved' && typed.text !== of.saved.text && (
                <Group gap="xs">
                    <Text size="sm">
                        {of.start.from === 'brought'
                            ? t('This was read from the photo. Look through it, and save it.')
                            : t('This is what you had typed before.')}
                    </Text>
                    <Button size="compact-sm" variant="default" onClick={() => entry.replace(of.saved.text)}>
                        {of.piece === null ? t('Begin again') : t('Back to what is saved')}
                    </Button>
                </Group>
            )}
        </>
    );
}

const NO_ERRORS: Api['ShorthandErrorResource'][] = [];

interface Sides {
    entry: Entry;
    of: EntryOf;
    /** What the file that was brought in says of itself. */
    brought: Api['CheckResource'][];
    player: Part;
}

function TypedAndMusic({ entry, of: { start, place }, brought, player }: Sides) {
    const { editor, preview, of, typed, cursor } = entry;
    const known = of === typed.text ? preview?.spans : [];
    return (
        <div className={styles.desk}>
            <Stack gap={6}>
                <Editor
                    ref={editor}
                    text={start.text}
                    past={pastOf(place)}
                    errors={preview?.errors ?? NO_ERRORS}
                    of={of}
                    onChange={entry.onText}
                    onCursor={entry.onCursor}
                />
                <Findings
                    preview={preview}
                    typing={cursor[0] === cursor[1] ? barAt(typed.text, known, cursor[0]) : null}
                    brought={brought}
                    onError={(one) => editor.current?.select(one.line, one.column, one.length)}
                    onCheck={(check) => {
                        if (check.events[0] !== undefined) entry.goTo(check.events[0]);
                        entry.check(check.events);
                    }}
                    onFix={(fix) => editor.current?.apply(fix.edits)}
                />
                <KeyStrip />
            </Stack>
            <div className={`sheet ${styles.music}`}>
                <EntryMusic
                    {...{ preview, of, cursor, player }}
                    text={typed.text}
                    checked={entry.checked}
                    onNote={entry.goTo}
                />
            </div>
        </div>
    );
}
