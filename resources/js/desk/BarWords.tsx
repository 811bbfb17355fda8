import { Button } from '@mantine/core';
import type { Api, Report } from '../api';
import { t } from '../text';
import styles from './Desk.module.css';

/** What is in one bar. */
export function BarWords({ report, bar, compare }: { report: Report; bar: number; compare: () => void }) {
    const hands = report.hands.find((one) => one.measure === bar);
    const rows = report.counting.filter((row) => row.measure === bar);
    const names = (hand: Api['Hand']) =>
        report.events
            .filter((event) => event.hand === hand && Number.parseInt(event.place, 10) === bar && event.kind !== 'rest')
            .map(
                (event) =>
                    `${event.pitches.join('+')}${event.fingers[0] == null ? '' : ` (${event.fingers.join(' ')})`}`,
            )
            .join(', ');
    return (
        <section aria-label={t('Bar {{bar}}', { bar })} className={styles.part}>
            <b>{bar === 0 ? t('Pickup') : t('Bar {{bar}}', { bar })}</b>{' '}
            <span className="faint">
                {hands?.play === 'together'
                    ? hands.motion
                        ? t('together, {{motion}}', { motion: hands.motion })
                        : t('together')
                    : hands?.play === 'turns'
                      ? t('taking turns')
                      : ''}
            </span>
            {rows.map((row) => (
                <div key={row.hand} className={row.hand === 'R' ? 'right-hand' : 'left-hand'}>
                    <b>{row.hand === 'R' ? t('Right') : t('Left')}</b> {row.text}
                    <br />
                    <span>{names(row.hand) || t('rests')}</span>
                </div>
            ))}
            <Button size="compact-xs" variant="subtle" onClick={compare}>
                {t('Compare with another bar (v)')}
            </Button>
        </section>
    );
}
