import type { Report } from '../../api';
import { barOf, type Finding, found, timesWords } from './finding';

const STATUS: Record<string, string> = { new: 'new', shaky: 'still shaky', secure: 'secure' };

/** What is new or shaky, what to ring, what is easily read wrong, and every note of the page with the way to it. */
export function notes(report: Report): Finding[] {
    const traps = report.traps.map((trap) => ({
        ...found('Easily read wrong', trap.text, trap.events, trap.events.length > 0 ? [] : [barOf(trap.place)]),
        thorn: true,
    }));
    const drill =
        !report.student || report.drill.length === 0
            ? []
            : [
                  found(
                      'Before the page is opened',
                      `Drill ${report.drill.map((one) => `${one.pitch} in the ${one.clef} clef (${one.why})`).join('; ')}.`,
                      report.notes
                          .filter((note) =>
                              report.drill.some((one) => one.pitch === note.pitch && one.clef === note.clef),
                          )
                          .flatMap((note) => note.events),
                  ),
              ];
    const rings = report.rings
        .slice(0, 3)
        .map((ring) => found(`Ring every ${ring.what}`, `There are ${ring.times} on this page.`, ring.events));
    // The hand that plays it: the clef does not say, both hands may be in one.
    const hands = new Map(report.events.map((event) => [event.id, event.hand]));
    const inventory = report.notes.map(
        (note): Finding => ({
            ...found(
                `${note.pitch}${note.staff === '' ? '' : `, ${note.clef} ${note.staff}`}`,
                `${timesWords(note.times)}, first at ${note.first}${report.student ? `; ${STATUS[note.status] ?? note.status}` : ''}. ${note.route === note.key ? '' : `Read: ${note.route}. `}Key: ${note.key}.`,
                note.events,
            ),
            keys: [{ midi: note.midi, text: note.letter, hand: hands.get(note.events[0] ?? '') ?? '' }],
        }),
    );
    const due = report.landmarks_due === null ? [] : [found('Time for more landmarks', report.landmarks_due, [])];
    return [...drill, ...rings, ...traps, ...due, ...inventory];
}
