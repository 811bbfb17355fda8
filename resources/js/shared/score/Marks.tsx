import type { Box, Places } from './places';

export interface NoteMark {
    id: string;
    /** One after the other, as far as the note lasts. */
    texts: string[];
    hand: string;
    rest: boolean;
    /** It stands on the page. */
    printed: boolean;
    place: 'above' | 'below';
}

const SMALLEST = 8.5;
const LARGEST = 13;
const REST_STEP = 22;

/** Small words at notes: fingers above the staff they belong to, counts below, each where it is said. */
export function Marks({ places, marks }: { places: Places; marks: NoteMark[] }) {
    return (
        <div aria-hidden="true">
            {marks.flatMap((mark, i) => {
                const note = places.notes.get(mark.id);
                const bar = note && barAt(places, note);
                if (note === undefined || bar === undefined) return [];
                const top =
                    mark.place === 'above'
                        ? Math.min(bar.staff.y - 22, note.y - 24)
                        : Math.max(bar.staff.y + bar.staff.height + 9, note.y + note.height + 6);
                const following = marks[i + 1];
                const next = following?.hand === mark.hand ? places.notes.get(following.id) : undefined;
                const lefts = spread(mark, note, next, bar.measure);
                const step = (lefts[1] ?? Number.POSITIVE_INFINITY) - (lefts[0] ?? 0);
                const size = Math.max(SMALLEST, Math.min(LARGEST, step * 0.56));
                return mark.texts.map((text, at) => (
                    <span
                        // biome-ignore lint/suspicious/noArrayIndexKey: counts of one note differ in their place only
                        key={`${mark.id} ${at}`}
                        className={`score-mark ${mark.hand === 'R' ? 'right-hand' : 'left-hand'}`}
                        data-printed={mark.printed ? 'yes' : 'no'}
                        style={{ left: lefts[at], top, fontSize: size }}
                    >
                        {text}
                    </span>
                ));
            })}
        </div>
    );
}

/** Where the words of a note stand: from its head to the next note, or to the bar line. */
function spread(mark: NoteMark, note: Box, next: Box | undefined, measure: Box): number[] {
    const middle = note.x + note.width / 2;
    const count = mark.texts.length;
    const right = measure.x + measure.width;
    if (mark.rest && count > 1) {
        const step = Math.min(REST_STEP, measure.width / (count + 1));
        return mark.texts.map((_, at) => middle + (at - (count - 1) / 2) * step);
    }
    const end = next !== undefined && next.x > note.x && next.x < right ? next.x + next.width / 2 : right - 4;
    const step = (end - middle) / count;
    return mark.texts.map((_, at) => middle + at * step);
}

function barAt(places: Places, note: Box): { measure: Box; staff: Box } | undefined {
    let best: { measure: Box; staff: Box } | undefined;
    let least = Number.POSITIVE_INFINITY;
    places.measures.forEach((measure, i) => {
        if (note.x < measure.x - 4 || note.x > measure.x + measure.width + 4) return;
        for (const staff of places.staves[i] ?? []) {
            const away = Math.abs(note.y + note.height / 2 - (staff.y + staff.height / 2));
            if (away < least) [best, least] = [{ measure, staff }, away];
        }
    });
    return best;
}
