import type { Report } from '../../api';
import { barOf, type Finding, found } from './finding';

/** What it is about that it sticks. */
const STICKS = 'Where it will stick';

/** What a teacher would point at before a note is played, in her order; then what does not add up. */
export function lookOver(report: Report): Finding[] {
    const traps = report.traps
        .filter((trap) => trap.code === 'one_clef')
        .map((trap) => ({ ...found('Both hands in one clef', trap.text), thorn: true }));
    const pointed = report.look_over.map((one) => ({
        ...found(one.what, one.text, eventsOf(report, one.what), one.what === 'The form' ? learned(report) : one.bars),
        ...(one.what === STICKS ? { thorn: true } : {}),
    }));
    const checks = report.checks.map((check) => ({
        ...found(`Check at ${check.place}`, check.text, check.events, [barOf(check.place)]),
        thorn: true,
    }));
    return [...traps, ...pointed, ...checks];
}

/** The notes that are spoken of: where the hands start, and what is new. */
function eventsOf(report: Report, what: string): string[] {
    if (what === 'New notes') {
        return report.notes.filter((note) => note.status === 'new').flatMap((note) => note.events);
    }
    if (what === 'Where the hands start' || what === 'Count in') {
        return ['R', 'L'].flatMap((hand) => {
            const first = report.events.find((event) => event.hand === hand && event.kind !== 'rest');
            return first === undefined ? [] : [first.id];
        });
    }
    return [];
}

/** Bars that are learned, what unlocks most first. */
function learned(report: Report): number[] {
    return report.learn.order.map((bar) => bar.measure);
}
