import { useRef, useState } from 'react';
import type { Api } from '../api';
import { useChangeAll } from './ChangeAll';
import type { Desk } from './desk';
import type { Start, Typed } from './draft';
import type { EditorHandle } from './Editor';
import { keepPast } from './past';
import { useDraft } from './useDraft';
import { usePreview } from './usePreview';
import { useSave } from './useSave';

export interface EntryOf {
    /** Names the draft in this browser, and in the API. */
    place: string;
    desk: Desk;
    start: Start;
    saved: Typed;
    piece: Api['PieceResource'] | null;
    /** Where a new piece goes; null for a correction. */
    pageId: number | null;
    /** Where to go once it is saved; null for its desk. */
    after: string | null;
}

/** What is typed on a desk, with its draft and its engraving, and what can be done with it. */
export function useEntry({ place, desk, start, piece, pageId, after }: EntryOf) {
    const editor = useRef<EditorHandle>(null);
    const [typed, setTyped] = useState<Typed>({ text: start.text, label: start.label });
    const [cursor, setCursor] = useState<readonly [number, number]>([0, 0]);
    /** Notes that the check which was chosen speaks of. */
    const [checked, setChecked] = useState<string[]>([]);
    const draft = useDraft(place, desk, start);
    const { preview, text: of, error, look } = usePreview(start.text);
    const replace = (text: string) => editor.current?.replace(text);
    const all = useChangeAll(() => editor.current?.text() ?? '', replace);
    const { save, done, overtaken, settle } = useSave({ place, piece, pageId, after, endDraft: draft.end });
    const isReady = of === typed.text && preview?.errors.length === 0 && preview.music !== null;
    const change = (next: Typed) => {
        setTyped(next);
        draft.keep(next);
    };
    return {
        ...{ editor, typed, cursor, checked, draft, preview, of, error, replace, all, done, overtaken, isReady },
        isSaving: save.isPending,
        saveError: save.error,
        label: (label: string) => change({ ...typed, label }),
        save: () => isReady && !save.isPending && save.mutate({ typed, revision: piece?.revision }),
        /** Mine goes over what was saved elsewhere, or that stands. */
        settleSaved: (mine: boolean) => settle(mine, typed),
        /** Mine stands, or the draft of another window. */
        settleDraft(mine: boolean) {
            const now = draft.settle(mine);
            setTyped(now);
            if (!mine) replace(now.text);
        },
        onText(text: string, past: Parameters<typeof keepPast>[1]) {
            look(text);
            change({ text, label: typed.label });
            setChecked([]);
            keepPast(place, past);
        },
        onCursor(from: number, to: number) {
            setCursor([from, to]);
            setChecked([]);
        },
        goTo(id: string) {
            const span = preview?.spans.find((one) => one.id === id);
            if (span !== undefined) editor.current?.select(span.line, span.column, span.length);
        },
        check: setChecked,
    };
}

export type Entry = ReturnType<typeof useEntry>;
