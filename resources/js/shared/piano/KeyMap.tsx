import type { Api } from '../../api';
import styles from './KeyMap.module.css';
/** A key that is told of, with what stands on it. */
export interface KeySign {
    midi: number;
    text: string;
    hand: Api['Hand'] | '';
}

const BLACK = new Set([1, 3, 6, 8, 10]);
const isBlack = (key: number): boolean => BLACK.has(key % 12);
const WIDE = 16;
const HIGH = 58;

/** The keys of a piano, drawn: where a hand lies, or where a note is. Middle C has its name. */
export function KeyMap({ signs, title }: { signs: readonly KeySign[]; title: string }) {
    const numbers = signs.map((sign) => sign.midi);
    // From a C to a B, two octaves at least, so that the groups of black keys can be told apart.
    const low = Math.min(48, ...numbers);
    const high = Math.max(71, ...numbers);
    const from = low - (low % 12);
    const to = high + 11 - (high % 12);
    const keys = Array.from({ length: to - from + 1 }, (_, i) => from + i);
    const whites = keys.filter((key) => !isBlack(key));
    const xOf = (key: number): number => {
        const before = whites.filter((white) => white < key).length * WIDE;
        return isBlack(key) ? before - WIDE * 0.3 : before;
    };
    const told = new Map(signs.map((sign) => [sign.midi, sign]));
    return (
        <svg
            viewBox={`-1 -1 ${whites.length * WIDE + 2} ${HIGH + 2}`}
            role="img"
            aria-label={title}
            className={styles.map}
            data-wide={whites.length > 14 ? 'yes' : undefined}
        >
            {[...whites, ...keys.filter(isBlack)].map((key) => {
                const sign = told.get(key);
                const black = isBlack(key);
                const width = black ? WIDE * 0.6 : WIDE;
                return (
                    <g key={key} data-hand={sign?.hand}>
                        <rect
                            x={xOf(key)}
                            y={0}
                            width={width}
                            height={black ? HIGH * 0.6 : HIGH}
                            rx={1.5}
                            className={black ? styles.black : styles.white}
                        />
                        {(sign !== undefined || key === 60) && (
                            <text
                                x={xOf(key) + width / 2}
                                y={black ? HIGH * 0.52 : HIGH - 6}
                                className={sign === undefined ? styles.name : styles.sign}
                            >
                                {sign?.text ?? 'C4'}
                            </text>
                        )}
                    </g>
                );
            })}
        </svg>
    );
}
