import type { Report } from '../../api';
import { t } from '../../text';
import { barOf, type Finding, found, placeWords, timesWords } from './finding';

const STATUS: Record<string, string> = { new: t('new'), shaky: t('still shaky'), secure: t('secure') };

/** What is new or shaky, what to ring, what is easily read wrong, and every note of the page with the way to it. */
export function notes(report: Report): Finding[] {
    const traps = report.traps.map((trap) => ({
        ...found(t('Easily read wrong'), trap.text, trap.events, trap.events.length > 0 ? [] : [barOf(trap.place)]),
        thorn: true,
    }));
    const drill =
        !report.student || report.drill.length === 0
            ? []
            : [
                  found(
                      t('Before the page is opened'),
                      t('Drill {{drill}}.', {
                          drill: report.drill
                              .map((one) =>
                                  t('{{pitch}} in the {{clef}} clef ({{why}})', {
                                      pitch: one.pitch,
                                      clef: one.clef,
                                      why: one.why,
                                  }),
                              )
                              .join('; '),
                      }),
                      report.notes
                          .filter((note) =>
                              report.drill.some((one) => one.pitch === note.pitch && one.clef === note.clef),
                          )
                          .flatMap((note) => note.events),
                  ),
              ];
    const rings = report.rings
        .slice(0, 3)
        .map((ring) =>
            found(
                t('Ring every {{what}}', { what: ring.what }),
                t('There are {{times}} on this page.', { times: ring.times }),
                ring.events,
            ),
        );
    // The hand that plays it: the clef does not say, both hands may be in one.
    const hands = new Map(report.events.map((event) => [event.id, event.hand]));
    const inventory = report.notes.map(
        (note): Finding => ({
            ...found(
                `${note.pitch}${note.staff === '' ? '' : `, ${note.clef} ${note.staff}`}`,
                aboutNote(report, note),
                note.events,
            ),
            keys: [{ midi: note.midi, text: note.letter, hand: hands.get(note.events[0] ?? '') ?? '' }],
        }),
    );
    const due = report.landmarks_due === null ? [] : [found(t('Time for more landmarks'), report.landmarks_due, [])];
    return [...drill, ...rings, ...traps, ...due, ...inventory];
}

/** How often it comes, how it is read, and which key it is. */
function aboutNote(report: Report, note: Report['notes'][number]): string {
    const known = { times: timesWords(note.times), place: placeWords(note.first) };
    return [
        report.student
            ? t('{{times}}, first at {{place}}; {{status}}.', { ...known, status: STATUS[note.status] ?? note.status })
            : t('{{times}}, first at {{place}}.', known),
        note.route === note.key ? '' : t('Read: {{route}}.', { route: note.route }),
        t('Key: {{key}}.', { key: note.key }),
    ]
        .filter((said) => said !== '')
        .join(' ');
}
