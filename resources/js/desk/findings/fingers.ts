import { type Api, choices, type Report } from '../../api';
import type { KeySign } from '../../shared/piano/KeyMap';
import { handWords, keyWords, listed } from '../../shared/words';
import { barOf, beatsWords, capital, eventsBetween, type Finding, found, placeWords, stretch } from './finding';

const HANDS = choices.Hand.map((hand) => hand.value);

/** A name for fewer notes says less than the notes. */
const LEAST_OF_RUN = 3;

interface At {
    at: string;
    finding: Finding;
}

const keysWords = (keys: number): string => `${Math.abs(keys)} ${Math.abs(keys) === 1 ? 'key' : 'keys'}`;

/** Positions on the keyboard, and all that the hands have to do to get from one to the next. */
export function fingers(report: Report): Finding[] {
    const all = [
        ...positions(report),
        ...patterns(report),
        ...shifts(report),
        ...report.crossings.map((one) =>
            thorn(
                report,
                one.hand,
                one.at,
                one.kind === 'under' ? 'Thumb under' : `Finger ${one.finger} over`,
                one.kind === 'under'
                    ? `The ${handWords(one.hand)}’s thumb goes under finger ${one.finger} at ${placeWords(one.at)}.`
                    : `In the ${handWords(one.hand)}, finger ${one.finger} goes over the thumb at ${placeWords(one.at)}.`,
            ),
        ),
        ...report.leaps.map((one) =>
            thorn(
                report,
                one.hand,
                one.at,
                `${capital(handWords(one.hand))}: ${one.move}`,
                `From ${one.from} to ${one.to}, to ${placeWords(one.at)}. Move the arm, do not reach.`,
            ),
        ),
        ...report.spans.map((one) =>
            thorn(
                report,
                one.hand,
                one.at,
                one.fits ? 'A wide chord' : 'Too wide for this hand',
                `${one.keys} keys in the ${handWords(one.hand)} at ${placeWords(one.at)}${one.fits ? '; the hand opens.' : '. Leave a note out, or break it.'}`,
            ),
        ),
        ...report.weak_runs.map((one) => ({
            at: one.from,
            finding: {
                ...found(
                    'Fingers 4 and 5 in a row',
                    `${capital(handWords(one.hand))}, from ${placeWords(one.from)}. Keep it short, and stop if it aches.`,
                    one.events,
                ),
                thorn: true,
            },
        })),
    ];
    const checks = report.checks
        .filter((check) => check.code.startsWith('finger_'))
        .map((check) => ({ ...found('A finger to look at', check.text, check.events), thorn: true }));
    return [...checks, ...inOrder(all), ...lines(report)];
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
                    `Thumb on ${position.thumb}, from ${position.low} to ${position.high}; ${stretch(from, to)}.`,
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
                        `${keyWords(run.name)}, standard fingering`,
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
                ? `${beatsWords(shift.beats)} from note to note, no rest`
                : `${beatsWords(shift.rest)} of rest to do it in`;
        return thorn(
            report,
            shift.hand,
            shift.at,
            `Shift at ${shift.at}`,
            `The ${handWords(shift.hand)} moves ${keysWords(shift.keys)} ${shift.keys > 0 ? 'up' : 'down'}, thumb from ${shift.from} to ${shift.to}; ${time}.`,
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
                `In the air, ${handWords(hand)}`,
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
            return first === undefined ? [] : [`${handWords(hand)} in ${first.name}`];
        }),
    );
}
