import { defaultKeymap, history, historyField, historyKeymap } from '@codemirror/commands';
import { lintKeymap, setDiagnostics } from '@codemirror/lint';
import { EditorState, type Extension, Prec } from '@codemirror/state';
import { EditorView, keymap, lineNumbers } from '@codemirror/view';
import { type Ref, type RefObject, useEffect, useImperativeHandle, useRef } from 'react';
import type { Api } from '../api';
import { t } from '../text';
import { language } from './language';
import { changesOf, type Edit, offsetOf, onEnter } from './lines';

export interface EditorHandle {
    focus: () => void;
    /** Types something at the cursor, joined to what stands before it or with a space between. */
    type: (token: string, joined?: boolean) => void;
    apply: (edits: Edit[]) => void;
    /** Another text in the place of all of it; undo brings the old one back. */
    replace: (text: string) => void;
    select: (line: number, column: number, length: number) => void;
    before: () => string;
    text: () => string;
}

interface Props {
    ref: Ref<EditorHandle>;
    /** What stands there when the editor opens; later texts come through the handle. */
    text: string;
    /** The undo steps of an earlier visit. */
    past: unknown;
    errors: Api['ShorthandErrorResource'][];
    /** The text that the errors were found in. */
    of: string;
    onChange: (text: string, past: () => unknown) => void;
    onCursor: (from: number, to: number) => void;
}

const FIELDS = { history: historyField };
/** Undo goes back as far as anybody types. */
const STEPS = 1_000_000;

function enter(view: EditorView): boolean {
    const { state } = view;
    const range = state.selection.main;
    const line = state.doc.lineAt(range.head);
    if (!range.empty || state.sliceDoc(range.head, line.to).trim() !== '') return false;
    const step = onEnter(state.doc.toString().split('\n'), line.number - 1);
    if (step === null) return false;
    if ('to' in step) {
        view.dispatch({ selection: { anchor: state.doc.line(step.to + 1).to }, scrollIntoView: true });
        return true;
    }
    const at = state.doc.line(step.at + 1).to;
    const insert = `\n${step.insert}`;
    view.dispatch({ changes: { from: at, insert }, selection: { anchor: at + insert.length }, scrollIntoView: true });
    return true;
}

/** A line that has begun with its hand already may be named by hand all the same: the name is not doubled. */
function handName(view: EditorView, from: number, to: number, typed: string): boolean {
    const line = view.state.doc.lineAt(from);
    if (from !== to || from !== line.to || !/^[RL]: $/.test(line.text) || !/^[RL: ]$/.test(typed)) return false;
    const named = /[RL]/.test(typed) ? `${typed}: ` : line.text;
    view.dispatch({ changes: { from: line.from, to: line.to, insert: named }, selection: { anchor: line.from + 3 } });
    return true;
}

/** Where the shorthand is typed: undo without end, errors at their tokens. */
export function Editor({ ref, text, past, errors, of, onChange, onCursor }: Props) {
    const place = useRef<HTMLDivElement>(null);
    const view = useRef<EditorView | null>(null);
    const told = useRef({ onChange, onCursor });
    told.current = { onChange, onCursor };

    // biome-ignore lint/correctness/useExhaustiveDependencies: the editor is made once; its text is its own from then on
    useEffect(() => {
        if (place.current === null) return;
        const extensions = extensionsFor(told);
        const created = new EditorView({ state: begin(text, past, extensions), parent: place.current });
        view.current = created;
        if (past === null) created.dispatch({ selection: { anchor: created.state.doc.line(1).to } });
        created.focus();
        return () => created.destroy();
    }, []);

    useEffect(() => {
        const now = view.current;
        if (now === null) return;
        const doc = now.state.doc.toString();
        // Newer text gets its own errors in a moment.
        if (doc !== of) return;
        const diagnostics = errors.map((error) => {
            const from = offsetOf(doc, error.line, error.column);
            return {
                from,
                to: Math.min(doc.length, from + error.length),
                severity: 'error' as const,
                message: error.text,
            };
        });
        now.dispatch(setDiagnostics(now.state, diagnostics));
    }, [errors, of]);

    useImperativeHandle(ref, () => handleOf(() => view.current as EditorView));
    return <div ref={place} className="typed" />;
}

type Told = RefObject<Pick<Props, 'onChange' | 'onCursor'>>;

/** How the text is typed: undo without end, lines numbered, hands named, and each change told. */
function extensionsFor(told: Told): Extension {
    return [
        history({ minDepth: STEPS }),
        lineNumbers(),
        language,
        EditorView.lineWrapping,
        EditorView.contentAttributes.of({
            'aria-label': t('The piece in shorthand'),
            'aria-describedby': 'typed-errors',
            spellcheck: 'false',
            autocorrect: 'off',
            autocapitalize: 'off',
        }),
        Prec.high(keymap.of([{ key: 'Enter', run: enter }])),
        EditorView.inputHandler.of(handName),
        keymap.of([
            ...defaultKeymap.filter((binding) => !binding.key?.startsWith('Alt-')),
            ...historyKeymap,
            ...lintKeymap,
        ]),
        EditorView.updateListener.of((update) => {
            if (update.docChanged) {
                const { state } = update;
                told.current.onChange(state.doc.toString(), () => state.toJSON(FIELDS));
            }
            if (update.docChanged || update.selectionSet) {
                const { from, to } = update.state.selection.main;
                told.current.onCursor(from, to);
            }
        }),
    ];
}

/** What others may do with the text, at the cursor or elsewhere. */
function handleOf(current: () => EditorView): EditorHandle {
    const changed = (changes: { from: number; to: number; insert: string }[], anchor?: number) => {
        const selection = anchor === undefined ? {} : { selection: { anchor } };
        current().dispatch({ changes, ...selection, scrollIntoView: true, userEvent: 'input' });
        current().focus();
    };
    return {
        focus: () => current().focus(),
        type: (token, joined = false) => {
            const { from, to } = current().state.selection.main;
            const space = joined || /[\s{]$|^$/.test(current().state.sliceDoc(Math.max(0, from - 1), from)) ? '' : ' ';
            const insert = space + token;
            current().dispatch({
                changes: { from, to, insert },
                selection: { anchor: from + insert.length },
                scrollIntoView: true,
                userEvent: 'input.type',
            });
        },
        apply: (edits) => changed(changesOf(current().state.doc.toString(), edits)),
        replace: (insert) =>
            changed([{ from: 0, to: current().state.doc.length, insert }], insert.split('\n', 1)[0]?.length ?? 0),
        select: (line, column, length) => {
            const from = offsetOf(current().state.doc.toString(), line, column);
            current().dispatch({ selection: { anchor: from, head: from + length }, scrollIntoView: true });
            current().focus();
        },
        before: () => current().state.sliceDoc(0, current().state.selection.main.head),
        text: () => current().state.doc.toString(),
    };
}

function begin(text: string, past: unknown, extensions: Extension): EditorState {
    if (past !== null) {
        try {
            const state = EditorState.fromJSON(past, { extensions }, FIELDS);
            if (state.doc.toString() === text) return state;
        } catch {
            // Kept by an older version: begin with the text alone.
        }
    }
    return EditorState.create({ doc: text, extensions });
}
