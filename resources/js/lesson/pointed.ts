import type { LessonTask, Report } from '../api';
import type { Range } from '../shared/score/beats';

/** Where a slip was: bars by index, and beats where it is exact to them. */
export interface Pointed {
    first: number;
    last: number;
    from: number | null;
    to: number | null;
}

export function firstBar(task: LessonTask | null): number {
    return Math.min(...(task?.bars ?? []).map((of) => of.first), Number.MAX_SAFE_INTEGER);
}

/** A bar alone. */
export const atBar = (bar: number): Pointed => ({ first: bar, last: bar, from: null, to: null });

/** The next bar of the page, or the one before. */
export function step(at: Pointed, by: number, report: Pick<Report, 'bars'>): Pointed {
    const from = by > 0 ? at.last : at.first;
    return atBar(Math.max(0, Math.min(report.bars.length - 1, from + by)));
}

export const rangeAt = (at: Pointed): Range | null =>
    at.from === null || at.to === null ? null : { first: at.first, from: at.from, last: at.last, to: at.to };

/** The end goes on by a beat, or back: over the bar line as well. */
export function stretch(at: Pointed, by: number, report: Report): Pointed {
    const [start, end] = [report.bars[at.first], report.bars[at.last]];
    if (start === undefined || end === undefined) return at;
    const from = at.from ?? start.first;
    if (at.to === null) return { ...at, from, to: by > 0 ? end.last : from };
    const to = at.to + by;
    if (to > end.last) {
        const next = report.bars[at.last + 1];
        return next === undefined ? at : { ...at, from, last: at.last + 1, to: next.first };
    }
    if (to < end.first) {
        const before = report.bars[at.last - 1];
        return at.last === at.first || before === undefined ? at : { ...at, from, last: at.last - 1, to: before.last };
    }
    return at.first === at.last && to < from ? at : { ...at, from, to };
}
