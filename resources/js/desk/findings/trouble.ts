import type { Report } from '../../api';
import { t } from '../../text';
import { barsSaid, capital, type Finding, found } from './finding';

const TEACHER: Record<string, string> = { easy: t('You call it easy.'), hard: t('You call it hard.') };

/** What both hands do together is seen in the whole bar. */
const BOTH = ['other_rhythm', 'other_direction', 'same_direction', 'over_one_note'];

/** A move is counted where it is made: what is hard about a bar may lead into the next. */
function title(bar: number, report: Report): string {
    const next = report.bars[report.bars.findIndex((of) => of.measure === bar) + 1];
    return `${capital(barsSaid([bar]))}${next === undefined ? '' : t(' into {{barsSaid}}', { barsSaid: barsSaid([next.measure]) })}`;
}

/** Where it will stick, the worst first, and why. */
export function trouble(report: Report): Finding[] {
    return report.sticking
        .filter((point) => point.score > 0 || point.teacher !== null)
        .sort((a, b) => Number(b.thorn) - Number(a.thorn) || b.score - a.score || a.measure - b.measure)
        .map((point) => ({
            ...found(
                title(point.measure, report),
                [
                    point.reasons.length > 0 && `${capital(point.reasons.map((reason) => reason.text).join('; '))}.`,
                    TEACHER[point.teacher ?? ''],
                    point.do !== null && t('What helps: {{do}}', { do: point.do }),
                    point.serves.length > 0 &&
                        t('Equal, and learnt with it: {{barsSaid}}.', { barsSaid: barsSaid(point.serves) }),
                ]
                    .filter(Boolean)
                    .join(' '),
                point.reasons.flatMap((reason) => (BOTH.includes(reason.code) ? [] : reason.events)),
                [point.measure],
            ),
            thorn: point.thorn,
        }));
}
