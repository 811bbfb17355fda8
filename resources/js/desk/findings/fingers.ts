import { type Api, choices, type Report } from '../../api';
import type { KeySign } from '../../shared/piano/KeyMap';
import { handWords, keyWords, listed } from '../../shared/words';
import { t } from '../../text';
import { barOf, beatsWords, capital, eventsBetween, type Finding, found, placeWords, stretch } from './finding';

const HANDS = choices.Hand.map((hand) => hand.value);

/** A name for fewer notes says less than the notes. */
const LEAST_OF_RUN = 3;

interface At {
    at: string;
    finding: Finding;
}

const keysWords = (keys: number): string => `${Math.abs(keys)} ${Math.abs(keys) === 1 ? t('key') : t('keys')}`;

/** Positions on the keyboard, and all that the hands have to do to get from one to the next. */
export function fingers(report: Report): Finding[] {
    const all = [
        ...positions(report),
        ...patterns(report),
        ...shifts(report),
        ...report.crossings.map((one) => crossing(report, one)),
        ...report.leaps.map((one) =>
            thorn(
                report,
                one.hand,
                one.at,
                `${capital(handWords(one.hand))}: ${one.move}`,
                t('From {{from}} to {{to}}, to {{placeWords}}. Move the arm, do not reach.', {
                    from: one.from,
                    to: one.to,
                    placeWords: placeWords(one.at),
                }),
            ),
        ),
        ...report.spans.map((one) =>
            thorn(
                report,
                one.hand,
                one.at,
                one.fits ? t('A wide chord') : t('Too wide for this hand'),
                one.fits
                    ? t('{{keys}} keys in the {{handWords}} at {{placeWords}}; the hand opens.', {
                          keys: one.keys,
                          handWords: handWords(one.hand),
                          placeWords: placeWords(one.at),
                      })
                    : t('{{keys}} keys in the {{handWords}} at {{placeWords}}. Leave a note out, or break it.', {
                          keys: one.keys,
                          handWords: handWords(one.hand),
                          placeWords: placeWords(one.at),
                      }),
            ),
        ),
        ...report.weak_runs.map((one) => ({
            at: one.from,
            finding: {
                ...found(
                    t('Fingers 4 and 5 in a row'),
                    t('{{capital}}, from {{placeWords}}. Keep it short, and stop if it aches.', {
                        capital: capital(handWords(one.hand)),
                        placeWords: placeWords(one.from),
                    }),
                    one.events,
                ),
                thorn: true,
            },
        })),
    ];
    const checks = report.checks
        .filter((check) => check.code.startsWith('finger_'))
        .map((check) => ({ ...found(t('A finger to look at'), check.text, check.events), thorn: true }));
    return [...checks, ...inOrder(all), ...lines(report)];
}

function crossing(report: Report, one: Report['crossings'][number]): At {
    const values = { handWords: handWords(one.hand), finger: one.finger, placeWords: placeWords(one.at) };
    return one.kind === 'under'
        ? thorn(
              report,
              one.hand,
              one.at,
              t('Thumb under'),
              t('The {{handWords}}’s thumb goes under finger {{finger}} at {{placeWords}}.', values),
          )
        : thorn(
              report,
              one.hand,
              one.at,
              t('Finger {{finger}} over', values),
              t('In the {{handWords}}, finger {{finger}} goes over the thumb at {{placeWords}}.', values),
          );
}

function inOrder(all: At[]): Finding[] {
    return all.sort((a, b) => barOf(a.at) - barOf(b.at)).map((one) => one.finding);
}

function positions(report: Report): At[] {
    return report.positions.map((position) => {
        const [from, to] = [barOf(position.from), barOf(position.to)];
        return {
            at: position.from,
            finding: {
                ...found(
                    `${capital(handWords(position.hand))}: ${position.name}`,
                    t('Thumb on {{thumb}}, from {{low}} to {{high}}; {{stretch}}.', {
                        thumb: position.thumb,
                        low: position.low,
                        high: position.high,
                        stretch: stretch(from, to),
                    }),
                    eventsBetween(report, position.hand, position.from, position.to),
                ),
                keys: position.keys.map((midi, i) => ({ midi, text: String(i + 1), hand: position.hand })),
            },
        };
    });
}

/** Scales and broken chords: the name under which their fingers are known. */
function patterns(report: Report): At[] {
    return HANDS.flatMap((hand) => {
        const runs: { name: string; events: Report['events'] }[] = [];
        let last: string | null = null;
        for (const event of report.events) {
            if (event.hand !== hand || event.voice !== 1 || event.move === 'held') continue;
            const name = event.kind === 'note' && event.finger_from !== 'worked out' ? event.pattern : null;
            if (name !== null && name === last) runs[runs.length - 1]?.events.push(event);
            else if (name !== null) runs.push({ name, events: [event] });
            last = name;
        }
        return runs
            .filter((run) => run.events.length >= LEAST_OF_RUN)
            .map((run) => {
                const ids = run.events.map((event) => event.id);
                const said = run.events.map((event) => event.fingers.join('+')).join(' ');
                const at = run.events[0]?.place ?? '';
                return {
                    at,
                    finding: found(
                        t('{{keyWords}}, standard fingering', { keyWords: keyWords(run.name) }),
                        `${capital(handWords(hand))}: ${said}.`,
                        ids,
                    ),
                };
            });
    });
}

function shifts(report: Report): At[] {
    return report.shifts.map((shift) => {
        const time =
            shift.rest === '0'
                ? t('{{beatsWords}} from note to note, no rest', { beatsWords: beatsWords(shift.beats) })
                : t('{{beatsWords}} of rest to do it in', { beatsWords: beatsWords(shift.rest) });
        return thorn(
            report,
            shift.hand,
            shift.at,
            t('Shift at {{at}}', { at: placeWords(shift.at) }),
            shift.keys > 0
                ? t('The {{handWords}} moves {{keysWords}} up, thumb from {{from}} to {{to}}; {{time}}.', {
                      handWords: handWords(shift.hand),
                      keysWords: keysWords(shift.keys),
                      from: shift.from,
                      to: shift.to,
                      time,
                  })
                : t('The {{handWords}} moves {{keysWords}} down, thumb from {{from}} to {{to}}; {{time}}.', {
                      handWords: handWords(shift.hand),
                      keysWords: keysWords(shift.keys),
                      from: shift.from,
                      to: shift.to,
                      time,
                  }),
        );
    });
}

function thorn(report: Report, hand: Api['Hand'], at: string, title: string, text: string): At {
    return { at, finding: { ...found(title, text, eventsBetween(report, hand, at, at)), thorn: true } };
}

/** For playing in the air: one sentence a hand, bars divided as on the page. */
function lines(report: Report): Finding[] {
    return HANDS.flatMap((hand) => {
        const rows = report.finger_lines.filter((row) => row.hand === hand);
        if (rows.length === 0) return [];
        return [
            found(
                t('In the air, {{handWords}}', { handWords: handWords(hand) }),
                rows.map((row) => row.text).join(' | '),
                [],
                rows.map((row) => row.measure),
            ),
        ];
    });
}

/** The keys that both hands start on, with their fingers. */
export function startKeys(report: Report): KeySign[] {
    return HANDS.flatMap((hand) => {
        const first = report.positions.find((position) => position.hand === hand);
        return first?.keys.map((midi, i) => ({ midi, text: String(i + 1), hand })) ?? [];
    });
}

/** Which hands lie where at first, in one sentence. */
export function startWords(report: Report): string {
    return listed(
        HANDS.flatMap((hand) => {
            const first = report.positions.find((position) => position.hand === hand);
            return first === undefined
                ? []
                : [t('{{handWords}} in {{name}}', { handWords: handWords(hand), name: first.name })];
        }),
    );
}
