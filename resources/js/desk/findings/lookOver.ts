import type { Report } from '../../api';
import { t } from '../../text';
import { barOf, type Finding, found, placeWords } from './finding';

/** What a teacher would point at before a note is played, in her order; then what does not add up. */
export function lookOver(report: Report): Finding[] {
    const traps = report.traps
        .filter((trap) => trap.code === 'one_clef')
        .map((trap) => ({ ...found(t('Both hands in one clef'), trap.text), thorn: true }));
    const pointed = report.look_over.map((one) => ({
        ...found(one.what, one.text, one.events, one.bars),
        ...(one.thorn ? { thorn: true } : {}),
    }));
    const checks = report.checks.map((check) => ({
        ...found(t('Check at {{place}}', { place: placeWords(check.place) }), check.text, check.events, [
            barOf(check.place),
        ]),
        thorn: true,
    }));
    return [...traps, ...pointed, ...checks];
}
