import type { Report } from '../../api';
import { t } from '../../text';
import type { Box, Places } from './places';

/** From a beat to a beat, both included: measures by index, beats counted from 1. */
export interface Range {
    first: number;
    from: number;
    last: number;
    to: number;
}

/** A place such as `2.3+1/2` as its beat, counted from 1: 3.5. */
export function beatOf(place: string): number {
    const [whole = '1', part] = (place.split('.')[1] ?? '1').split('+');
    const [over = 0, under = 1] = (part ?? '').split('/').map(Number);
    return Number(whole) + (part === undefined ? 0 : over / under);
}

/** Where the beats of each bar begin, in pixels from the left of the drawing. */
export function beatLines(report: Report, places: Places): { beat: number; x: number }[][] {
    const measures = new Map(report.bars.map((bar, i) => [bar.measure, i]));
    const known = places.measures.map(() => new Map<number, number>());
    for (const event of report.events) {
        const at = measures.get(Number.parseInt(event.place, 10));
        const box = places.notes.get(event.id);
        if (at === undefined || box === undefined || event.kind === 'rest') continue;
        const beat = beatOf(event.place);
        known[at]?.set(beat, Math.min(box.x, known[at].get(beat) ?? Number.POSITIVE_INFINITY));
    }
    return places.measures.map((measure, i) => {
        const bar = report.bars[i];
        if (bar === undefined) return [];
        const points = [...(known[i] ?? [])].sort(([a], [b]) => a - b);
        return Array.from({ length: bar.last - bar.first + 1 }, (_, nth) => ({
            beat: bar.first + nth,
            x: nth === 0 ? measure.x : xOf(bar.first + nth, points, measure, bar),
        }));
    });
}

/** A beat that no note begins lies between those that do. */
function xOf(beat: number, points: [number, number][], measure: Box, bar: { first: number; last: number }): number {
    const before = points.findLast(([at]) => at <= beat) ?? ([bar.first, measure.x] as const);
    if (before[0] === beat) return before[1] - 3;
    const after = points.find(([at]) => at > beat) ?? ([bar.last + 1, measure.x + measure.width] as const);
    return before[1] + ((after[1] - before[1]) * (beat - before[0])) / (after[0] - before[0]);
}

/** The bar that a point of the drawing lies in, and its beat; the nearest one where it lies in none. */
export function beatAt(
    lines: { beat: number; x: number }[][],
    places: Places,
    x: number,
    y: number,
): { measure: number; beat: number } | null {
    let best = -1;
    let least = Number.POSITIVE_INFINITY;
    places.measures.forEach((box, i) => {
        const aside = Math.max(box.x - x, x - box.x - box.width, 0);
        const away = Math.max(box.y - y, y - box.y - box.height, 0) * 4 + aside;
        if (away < least) [best, least] = [i, away];
    });
    const beats = lines[best];
    if (beats === undefined || beats.length === 0) return null;
    const beat = beats.findLast((one) => one.x <= x) ?? beats[0];
    return beat === undefined ? null : { measure: best, beat: beat.beat };
}

/** Two points of the music as a range, whichever came first. */
export function rangeOf(a: { measure: number; beat: number }, b: { measure: number; beat: number }): Range {
    const [start, end] = a.measure < b.measure || (a.measure === b.measure && a.beat <= b.beat) ? [a, b] : [b, a];
    return { first: start.measure, from: start.beat, last: end.measure, to: end.beat };
}

/** The part of each bar that a range covers, to be tinted. */
export function boxesOf(range: Range, lines: { beat: number; x: number }[][], places: Places): Box[] {
    return places.measures.flatMap((measure, i) => {
        if (i < range.first || i > range.last) return [];
        const right = measure.x + measure.width;
        const from = i === range.first ? (lines[i]?.find((one) => one.beat === range.from)?.x ?? measure.x) : measure.x;
        const to = i === range.last ? (lines[i]?.find((one) => one.beat === range.to + 1)?.x ?? right) : right;
        return [{ x: from, y: measure.y - 14, width: Math.max(4, to - from), height: measure.height + 28 }];
    });
}

/** `bar 2, beat 3 to bar 3, beat 1` */
export function rangeWords(report: Report, range: Range): string {
    const [first, last] = [report.bars[range.first], report.bars[range.last]];
    if (first === undefined || last === undefined) return '';
    if (range.first === range.last) {
        const whole = range.from === first.first && range.to === last.last;
        const beats =
            range.from === range.to
                ? t('beat {{from}}', { from: range.from })
                : t('beats {{from}} to {{to}}', { from: range.from, to: range.to });
        return whole
            ? t('bar {{bar}}', { bar: first.measure })
            : t('bar {{bar}}, {{beats}}', { bar: first.measure, beats });
    }
    const whole = range.from === first.first && range.to === last.last;
    return whole
        ? t('bars {{measure}} to {{measure2}}', { measure: first.measure, measure2: last.measure })
        : t('bar {{measure}}, beat {{from}} to bar {{measure2}}, beat {{to}}', {
              measure: first.measure,
              from: range.from,
              measure2: last.measure,
              to: range.to,
          });
}
