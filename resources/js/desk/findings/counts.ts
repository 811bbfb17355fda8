import type { Report } from '../../api';
import { handWords } from '../../shared/words';
import { barOf, type Finding, found } from './finding';

export function counts(report: Report): Finding[] {
    return [
        found('Count in', `${report.count_in.counts.join(' ')}, then play on ${report.count_in.enter}.`),
        ...report.counting.map((row) =>
            found(
                `${row.measure === 0 ? 'Pickup' : `Bar ${row.measure}`}, ${handWords(row.hand)}`,
                row.text,
                report.events
                    .filter((event) => event.hand === row.hand && barOf(event.place) === row.measure)
                    .map((event) => event.id),
                [row.measure],
            ),
        ),
    ];
}
