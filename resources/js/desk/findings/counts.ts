import type { Report } from '../../api';
import { handWords } from '../../shared/words';
import { t } from '../../text';
import { barOf, type Finding, found } from './finding';

export function counts(report: Report): Finding[] {
    return [
        found(
            t('Count in'),
            t('{{counts}}, then play on {{enter}}.', {
                counts: report.count_in.counts.join(' '),
                enter: report.count_in.enter,
            }),
        ),
        ...report.counting.map((row) =>
            found(
                `${row.measure === 0 ? t('Pickup') : t('Bar {{measure}}', { measure: row.measure })}, ${handWords(row.hand)}`,
                row.text,
                report.events
                    .filter((event) => event.hand === row.hand && barOf(event.place) === row.measure)
                    .map((event) => event.id),
                [row.measure],
            ),
        ),
    ];
}
