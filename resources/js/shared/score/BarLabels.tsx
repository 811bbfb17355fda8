import { ROW, rowsOf } from './Marks';
import type { Places } from './places';

export interface BarLabel {
    /** Index of the measure. */
    bar: number;
    text: string;
    tone: 'right' | 'left' | 'leaf' | 'thorn' | 'ink';
}

interface Props {
    places: Places;
    labels: readonly BarLabel[];
    /** Rows of words that stand below the staves already. */
    under: number;
}

/** A word under each bar, such as what the hands do in it. */
export function BarLabels({ places, labels, under }: Props) {
    const rows = rowsOf(places);
    return (
        <div aria-hidden="true">
            {labels.map((label) => {
                const box = places.measures[label.bar];
                const row = rows[label.bar]?.at(-1);
                if (box === undefined || row === undefined) return null;
                return (
                    <span
                        key={`${label.bar} ${label.text}`}
                        className="score-label"
                        data-tone={label.tone}
                        style={{ left: box.x + box.width / 2, top: row.below + 16 + ROW * under, maxWidth: box.width }}
                    >
                        {label.text}
                    </span>
                );
            })}
        </div>
    );
}
