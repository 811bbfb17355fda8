import { useRovingIndex } from '@mantine/hooks';
import type { Report } from '../api';
import { stepAside } from '../shared/keys';
import { t } from '../text';
import styles from './BarTiles.module.css';
import { groupLetter } from './marks';

const WEAVES = [
    'repeating-linear-gradient(45deg, var(--leaf-soft) 0 3px, transparent 3px 9px)',
    'radial-gradient(circle, var(--leaf-soft) 2.2px, transparent 2.6px) 0 0 / 8px 8px',
    'repeating-linear-gradient(0deg, var(--leaf-soft) 0 2px, transparent 2px 7px)',
    'repeating-linear-gradient(-45deg, var(--leaf-soft) 0 3px, transparent 3px 9px)',
    'repeating-linear-gradient(90deg, var(--leaf-soft) 0 2px, transparent 2px 7px)',
];

const PLAYS: Record<string, string> = { R: 'R', L: 'L', turns: 'R·L', together: 'R+L', rest: '–' };

interface Props {
    report: Report;
    /** By index. */
    chosen: ReadonlySet<number>;
    choose: (index: number, more: boolean) => void;
}

/** The bars as tiles; equal bars wear the same weave and letter, one that sticks a thorn, one with a check a mark. */
export function BarTiles({ report, chosen, choose }: Props) {
    const checked = new Set(report.checks.map((check) => Number.parseInt(check.place, 10)));
    const { getItemProps } = useRovingIndex({ total: report.hands.length, loop: false });
    const thorns = new Set(report.sticking.filter((point) => point.thorn).map((point) => point.measure));
    return (
        <div className={styles.tiles} role="toolbar" aria-label={t('Bars')} onKeyDown={stepAside}>
            {report.hands.map((bar, index) => {
                const group = report.equal.bars.findIndex((bars) => bars.includes(bar.measure));
                const letter = group < 0 ? '' : groupLetter(group);
                const thorn = thorns.has(bar.measure);
                const check = checked.has(bar.measure);
                const words = [
                    t('Bar {{measure}}', { measure: bar.measure }),
                    PLAYS[bar.play],
                    letter && t('equal bars {{letter}}', { letter }),
                    thorn && t('sticks'),
                    check && t('to be checked'),
                ];
                return (
                    <button
                        key={bar.measure}
                        type="button"
                        className={styles.tile}
                        aria-pressed={chosen.has(index)}
                        aria-label={words.filter(Boolean).join(', ')}
                        style={
                            group < 0 || chosen.has(index)
                                ? undefined
                                : { background: `${WEAVES[group % WEAVES.length]}, var(--sheet)` }
                        }
                        {...getItemProps({ index, onClick: (event) => choose(index, event.shiftKey) })}
                    >
                        <b>{bar.measure}</b>
                        {thorn && <span className="thorn"> ▲</span>}
                        {check && <b className="thorn"> !</b>}
                        <br />
                        <span className={styles.words}>
                            {PLAYS[bar.play]}
                            {letter && ` ${letter}`}
                        </span>
                    </button>
                );
            })}
        </div>
    );
}
