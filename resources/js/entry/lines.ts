/** Where the cursor goes on Enter: from a heading to the next line, from one hand to the other, or to a new printed line. */
export type Step = { to: number } | { insert: string; at: number };

const hand = (line: string | undefined): 'R' | 'L' | null =>
    (line?.match(/^\s*([RL])(?=[:\s]|$)/)?.[1] as 'R' | 'L') ?? null;
const belongs = (line: string | undefined): boolean => /^\s*(R[2-4]|L[2-4]|WL?[2-9]?)(?=[:\s]|$)/.test(line ?? '');

/**
 * @param index of the line the cursor is in, from 0
 * @returns the line to go to the end of, or the text to insert and the line after which; null for a plain new line
 */
export function onEnter(lines: string[], index: number): Step | null {
    const here = lines[index] ?? '';
    const which = hand(here);
    let next = index + 1;
    if (which === null && !belongs(here)) {
        return next < lines.length && (lines[next] ?? '').trim() !== '' ? { to: next } : null;
    }
    // Second voices and words stand between the hands.
    while (next < lines.length && belongs(lines[next])) next++;
    while (next < lines.length && (lines[next] ?? '').trim() === '') next++;
    const found = hand(lines[next]);
    const last = which ?? hand(lines.slice(0, index + 1).findLast((line) => hand(line) !== null));
    if (last === 'R')
        return found === 'L' ? { to: next } : { insert: 'L: ', at: belongs(here) ? index : endOf(lines, index) };
    return found === 'R' ? { to: next } : { insert: 'R: ', at: endOf(lines, index) };
}

/** The last line that belongs to the hand of this one. */
function endOf(lines: string[], index: number): number {
    let end = index;
    while (belongs(lines[end + 1])) end++;
    return end;
}

/** The offset of a line and column (both from 1) in a text. */
export function offsetOf(text: string, line: number, column: number): number {
    const lines = text.split('\n');
    const before = lines.slice(0, line - 1).reduce((sum, one) => sum + one.length + 1, 0);
    return Math.min(text.length, before + column - 1);
}

export interface Edit {
    line: number;
    column: number;
    length: number;
    insert: string;
}

/** Edits by line and column as changes by offset, all of the same text. */
export function changesOf(text: string, edits: Edit[]): { from: number; to: number; insert: string }[] {
    return edits
        .map((edit) => {
            const from = offsetOf(text, edit.line, edit.column);
            return { from, to: from + edit.length, insert: edit.insert };
        })
        .sort((a, b) => a.from - b.from);
}

export interface Span {
    id: string;
    bar: number;
    line: number;
    column: number;
    length: number;
}

/** The notes that were typed where the cursor stands, just before it, or in what is selected. */
export function spansAt(text: string, spans: Span[], from: number, to: number): Span[] {
    const placed = spans.map((span) => ({ span, at: offsetOf(text, span.line, span.column) }));
    if (from !== to) return placed.filter(({ span, at }) => at < to && at + span.length > from).map(({ span }) => span);
    const under = placed.filter(({ span, at }) => at <= from && from <= at + span.length);
    const nearest = Math.max(...under.map(({ at }) => at));
    return under.filter(({ at }) => at === nearest).map(({ span }) => span);
}

/** The number of the bar that is being typed, whose beats need not add up yet. */
export function barAt(text: string, spans: Span[] | undefined, at: number): string | null {
    const [span] = spansAt(text, spans ?? [], at, at);
    return span?.id.match(/^[RL](\d+)/)?.[1] ?? null;
}
