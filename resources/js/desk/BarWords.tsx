import type { Report } from '../shared/api';

/** What is in one bar. */
export function BarWords({ report, bar }: { report: Report; bar: number }) {
    const hands = report.hands.find((one) => one.measure === bar);
    const rows = report.counting.filter((row) => row.measure === bar);
    const names = (hand: string) =>
        report.events
            .filter((event) => event.hand === hand && Number.parseInt(event.place, 10) === bar && event.kind !== 'rest')
            .map(
                (event) =>
                    `${event.pitches.join('+')}${event.fingers[0] == null ? '' : ` (${event.fingers.join(' ')})`}`,
            )
            .join(', ');
    return (
        <section aria-label={`Bar ${bar}`} style={{ padding: '0.4rem 0.6rem', borderBottom: '1px solid var(--rule)' }}>
            <b>{bar === 0 ? 'Pickup' : `Bar ${bar}`}</b>{' '}
            <span className="faint">
                {hands?.play === 'together'
                    ? `together${hands.motion ? `, ${hands.motion}` : ''}`
                    : hands?.play === 'turns'
                      ? 'taking turns'
                      : ''}
            </span>
            {rows.map((row) => (
                <div key={row.hand} className={row.hand === 'R' ? 'right-hand' : 'left-hand'}>
                    <b>{row.hand === 'R' ? 'Right' : 'Left'}</b> {row.text}
                    <br />
                    <span>{names(row.hand) || 'rests'}</span>
                </div>
            ))}
        </section>
    );
}
