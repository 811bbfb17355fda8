import type { Api } from '../../api';
import type { Box, Places } from './places';

export interface NoteMark {
    id: string;
    /** One after the other, as far as the note lasts. */
    texts: string[];
    hand: Api['Hand'];
    /** Whose it is, where that matters: printed on the page, or the teacher's own. */
    from?: 'page' | 'teacher' | undefined;
    /** The row it stands in: above the staff, or below it, where a second row is farther away. */
    row: 'above' | 'below' | 'far below';
}

const SMALLEST = 9;
const LARGEST = 13;
export const ROW = 15;
const REST_STEP = 22;

/** Small words at notes, each where it is said, in rows that keep clear of stems and beams; or lines to write them on. */
export function Marks({ places, marks, blank = false }: { places: Places; marks: NoteMark[]; blank?: boolean }) {
    const rows = rowsOf(places);
    const following = nextOf(marks);
    return (
        <div aria-hidden="true">
            {marks.flatMap((mark, i) => {
                const note = places.notes.get(mark.id);
                const at = note && barAt(places, note);
                if (note === undefined || at === undefined) return [];
                const row = rows[at.measure]?.[at.staff];
                if (row === undefined) return [];
                const top =
                    mark.row === 'above' ? row.above - ROW : row.below + 3 + (mark.row === 'far below' ? ROW : 0);
                const next = following.get(i);
                const bar = places.measures[at.measure] as Box;
                const lefts = spread(
                    mark,
                    note,
                    next === undefined ? undefined : places.notes.get(next),
                    bar,
                    places.barRests.has(mark.id),
                );
                const size = sizeOf(mark, lefts);
                return mark.texts.map((text, nth) =>
                    blank ? (
                        <span
                            // biome-ignore lint/suspicious/noArrayIndexKey: lines of one note differ in their place only
                            key={`${mark.row} ${mark.id} ${nth}`}
                            className="score-blank"
                            style={{ left: lefts[nth], top }}
                        />
                    ) : (
                        <span
                            // biome-ignore lint/suspicious/noArrayIndexKey: counts of one note differ in their place only
                            key={`${mark.row} ${mark.id} ${nth}`}
                            className={`score-mark ${mark.hand === 'R' ? 'right-hand' : 'left-hand'}`}
                            data-from={mark.from}
                            style={{ left: lefts[nth], top, fontSize: size }}
                        >
                            {text}
                        </span>
                    ),
                );
            })}
        </div>
    );
}

/** The mark after each one in its own row and hand, by its place in the list. */
function nextOf(marks: NoteMark[]): Map<number, string> {
    const last = new Map<string, number>();
    const next = new Map<number, string>();
    marks.forEach((mark, i) => {
        const lane = `${mark.row} ${mark.hand}`;
        const before = last.get(lane);
        if (before !== undefined) next.set(before, mark.id);
        last.set(lane, i);
    });
    return next;
}

/** Words of one note share its room: the longest decides how large they are. */
function sizeOf(mark: NoteMark, lefts: number[]): number {
    const step = (lefts[1] ?? Number.POSITIVE_INFINITY) - (lefts[0] ?? 0);
    const longest = Math.max(1, ...mark.texts.map((text) => text.length));
    return Math.max(SMALLEST, Math.min(LARGEST, (step * 0.95) / (0.56 * longest)));
}

/** Above and below each staff of each measure, the same along a whole line of the page. */
export function rowsOf(places: Places): { above: number; below: number }[][] {
    const lines = new Map<number, { above: number; below: number }>();
    const lineOf = (staff: Box) => Math.round(staff.y);
    places.staves.forEach((staves, i) => {
        staves.forEach((staff, nth) => {
            const extent = places.extents[i]?.[nth] ?? staff;
            const before = lines.get(lineOf(staff));
            lines.set(lineOf(staff), {
                above: Math.min(before?.above ?? staff.y, extent.y),
                below: Math.max(before?.below ?? staff.y + staff.height, extent.y + extent.height),
            });
        });
    });
    return places.staves.map((staves) => staves.map((staff) => lines.get(lineOf(staff)) ?? { above: 0, below: 0 }));
}

/** Where the words of a note stand: from its head to the next note, or to the bar line. */
function spread(mark: NoteMark, note: Box, next: Box | undefined, measure: Box, fillsBar: boolean): number[] {
    const middle = note.x + note.width / 2;
    const count = mark.texts.length;
    const right = measure.x + measure.width;
    if (fillsBar && count > 1) {
        const step = Math.min(REST_STEP, measure.width / (count + 1));
        return mark.texts.map((_, at) => middle + (at - (count - 1) / 2) * step);
    }
    const end = next !== undefined && next.x > note.x && next.x < right ? next.x + next.width / 2 : right - 4;
    const step = (end - middle) / count;
    return mark.texts.map((_, at) => middle + at * step);
}

function barAt(places: Places, note: Box): { measure: number; staff: number } | undefined {
    let best: { measure: number; staff: number } | undefined;
    let least = Number.POSITIVE_INFINITY;
    const middle = note.x + note.width / 2;
    places.measures.forEach((measure, i) => {
        if (middle < measure.x || middle > measure.x + measure.width) return;
        places.staves[i]?.forEach((staff, nth) => {
            const away = Math.abs(note.y + note.height / 2 - (staff.y + staff.height / 2));
            if (away < least) [best, least] = [{ measure: i, staff: nth }, away];
        });
    });
    return best;
}
