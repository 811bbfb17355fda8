import type { Report } from '../shared/api';

const WEAVES = [
    'repeating-linear-gradient(45deg, var(--leaf-soft) 0 3px, transparent 3px 9px)',
    'radial-gradient(circle, var(--leaf-soft) 2.2px, transparent 2.6px) 0 0 / 8px 8px',
    'repeating-linear-gradient(0deg, var(--leaf-soft) 0 2px, transparent 2px 7px)',
    'repeating-linear-gradient(-45deg, var(--leaf-soft) 0 3px, transparent 3px 9px)',
    'repeating-linear-gradient(90deg, var(--leaf-soft) 0 2px, transparent 2px 7px)',
];

const PLAYS: Record<string, string> = { R: 'R', L: 'L', turns: 'R·L', together: 'R+L', rest: '–' };

/** The bars as tiles; equal bars wear the same weave and letter, a bar with a check wears a thorn. */
export function BarTiles({
    report,
    chosen,
    choose,
}: {
    report: Report;
    chosen: ReadonlySet<number>;
    choose: (bar: number, more: boolean) => void;
}) {
    const checked = new Set(report.checks.map((check) => Number.parseInt(check.place, 10)));
    return (
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 5, margin: '0.6rem 0' }}>
            {report.hands.map((bar) => {
                const group = report.equal.bars.findIndex((bars) => bars.includes(bar.measure));
                const letter = group < 0 ? '' : String.fromCharCode(97 + (group % 26));
                const words = `Bar ${bar.measure}, ${PLAYS[bar.play]}${letter && `, equal bars ${letter}`}${checked.has(bar.measure) ? ', to be checked' : ''}`;
                return (
                    <button
                        key={bar.measure}
                        type="button"
                        className="tile"
                        aria-pressed={chosen.has(bar.measure)}
                        aria-label={words}
                        style={
                            group < 0 || chosen.has(bar.measure)
                                ? undefined
                                : { background: `${WEAVES[group % WEAVES.length]}, var(--sheet)` }
                        }
                        onClick={(event) => choose(bar.measure, event.shiftKey)}
                    >
                        <b>{bar.measure}</b>
                        {checked.has(bar.measure) && <span className="thorn"> ▲</span>}
                        <br />
                        <span style={{ fontSize: '0.8rem' }}>
                            {PLAYS[bar.play]}
                            {letter && ` ${letter}`}
                        </span>
                    </button>
                );
            })}
        </div>
    );
}
