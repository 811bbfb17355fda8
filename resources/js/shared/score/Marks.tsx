import type { Places } from './places';

export interface NoteMark {
    id: string;
    text: string;
    hand: string;
    place: 'above' | 'below';
}

/** Small words at notes: fingers above the staff they belong to, counts below. */
export function Marks({ places, marks }: { places: Places; marks: NoteMark[] }) {
    return (
        <div aria-hidden="true">
            {marks.map((mark) => {
                const note = places.notes.get(mark.id);
                const staff = note && nearestStaff(places, note.x, note.y);
                if (note === undefined || staff === undefined) return null;
                const top =
                    mark.place === 'above'
                        ? Math.min(staff.y - 22, note.y - 24)
                        : Math.max(staff.y + staff.height + 9, note.y + note.height + 6);
                return (
                    <span
                        key={`${mark.id} ${mark.place}`}
                        className={`score-mark ${mark.hand === 'R' ? 'right-hand' : 'left-hand'}`}
                        style={{ left: note.x + note.width / 2, top }}
                    >
                        {mark.text}
                    </span>
                );
            })}
        </div>
    );
}

function nearestStaff(places: Places, x: number, y: number) {
    let best: { y: number; height: number } | undefined;
    let least = Number.POSITIVE_INFINITY;
    for (const staves of places.staves) {
        for (const staff of staves) {
            const within = x >= staff.x - 30 && x <= staff.x + staff.width + 5;
            const away = Math.abs(y - (staff.y + staff.height / 2));
            if (within && away < least) [best, least] = [staff, away];
        }
    }
    return best;
}
