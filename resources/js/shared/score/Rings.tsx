import type { Places } from './places';

const ROOM = 5;

/** A ring around each of some note heads. */
export function Rings({ places, ids }: { places: Places; ids: readonly string[] }) {
    return (
        <div aria-hidden="true">
            {ids.flatMap((id) => {
                const head = places.notes.get(id);
                if (head === undefined) return [];
                const size = Math.max(head.width, head.height) + 2 * ROOM;
                return [
                    <span
                        key={id}
                        className="score-ring"
                        style={{
                            left: head.x + head.width / 2 - size / 2,
                            top: head.y + head.height / 2 - size / 2,
                            width: size,
                            height: size,
                        }}
                    />,
                ];
            })}
        </div>
    );
}
