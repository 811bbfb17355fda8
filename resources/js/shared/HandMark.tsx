import type { Api } from '../api';
import styles from './HandMark.module.css';
import { handWords } from './words';

/** A hand as a note: the right round with its stem up, the left square with its stem down. */
export function HandMark({ hand }: { hand: Api['Hand'] | null }) {
    const marks = hand === null ? ['R', 'L'] : [hand];
    return (
        <span role="img" aria-label={handWords(hand)} title={handWords(hand)} className={styles.mark}>
            {marks.map((of) => (
                <svg key={of} viewBox="0 0 12 20" width="9" height="15" aria-hidden="true" className={styles.sign}>
                    {of === 'R' ? (
                        <g fill="var(--right)" stroke="var(--right)">
                            <ellipse cx="4.6" cy="16" rx="4" ry="3" />
                            <line x1="8" y1="16" x2="8" y2="1" strokeWidth="1.6" />
                        </g>
                    ) : (
                        <g fill="var(--left)" stroke="var(--left)">
                            <rect x="1.5" y="1.5" width="7.5" height="5.5" />
                            <line x1="2.3" y1="4" x2="2.3" y2="19" strokeWidth="1.6" />
                        </g>
                    )}
                </svg>
            ))}
        </span>
    );
}
