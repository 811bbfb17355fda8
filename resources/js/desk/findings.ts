import type { Report } from '../shared/api';
import { handWords, listed } from '../shared/words';

export const LENSES = [
    { name: 'look over', key: 'l' },
    { name: 'notes', key: 'n' },
    { name: 'fingers', key: 'f' },
    { name: 'counts', key: 'c' },
    { name: 'hands', key: 'h' },
    { name: 'patterns', key: 'p' },
] as const;

export type Lens = (typeof LENSES)[number]['name'];

/** A sentence beside the music, with what it lights: notes by id, bars by number. */
export interface Finding {
    title: string;
    text: string;
    events: string[];
    bars: number[];
    thorn?: boolean;
}

const barOf = (place: string): number => Number.parseInt(place, 10);

function found(title: string, text: string, events: string[] = [], bars: number[] = []): Finding {
    return { title, text, events, bars };
}

/** The ids of a hand's notes from one place to another. */
function eventsBetween(report: Report, hand: string, from: string, to: string): string[] {
    const own = report.events.filter((event) => event.hand === hand);
    const first = own.findIndex((event) => event.place === from);
    const last = own.findLastIndex((event) => event.place === to);
    return own
        .slice(first, last + 1)
        .filter((event) => event.kind !== 'rest')
        .map((event) => event.id);
}

function lookOver(report: Report): Finding[] {
    const { piece, count_in: countIn } = report;
    const clefs = ['R', 'L'].map((hand) => report.events.find((event) => event.hand === hand)?.clef ?? '');
    const first = report.events.filter((event) => event.place === report.events[0]?.place).map((event) => event.id);
    const list = [
        found(
            'Time and key',
            `${piece.time} in ${piece.key}, ${piece.measures} bars on ${piece.lines === 1 ? 'one line' : `${piece.lines} lines`}.`,
        ),
        found('Count in', `${countIn.counts.join(' ')}, then play on ${countIn.enter}.`, first),
    ];
    if (clefs[0] !== '' && clefs[0] === clefs[1]) {
        list.unshift({
            ...found(
                'Both hands in one clef',
                `The left hand reads the ${clefs[0]} clef too. Say so before a note is played.`,
            ),
            thorn: true,
        });
    }
    if (piece.tempo !== null || piece.tempo_words !== null) {
        const range = piece.tempo_from === null ? `${piece.tempo ?? ''}` : `${piece.tempo_from} to ${piece.tempo}`;
        list.push(found('Tempo', [piece.tempo_words, range && `goal ${range}`].filter(Boolean).join(', ')));
    }
    if (piece.pickup !== '0')
        list.push(
            found(
                'Pickup',
                `It starts before the bar, with ${piece.pickup} ${piece.pickup === '1' ? 'beat' : 'beats'}.`,
                [],
                [0],
            ),
        );
    if (report.play_order.length !== report.hands.length) {
        list.push(
            found(
                'The way through',
                `${report.beats.played} beats are played, ${report.beats.written} are written: ${report.play_order.join(' ')}.`,
            ),
        );
    }
    const fresh = report.notes.filter((note) => note.status === 'new');
    if (fresh.length > 0)
        list.push(
            found(
                'New notes',
                `${listed([...new Set(fresh.map((note) => note.pitch))])}.`,
                fresh.flatMap((note) => note.events),
            ),
        );
    for (const check of report.checks) {
        list.push({
            ...found(`Check at ${check.place}`, check.text, check.events, [barOf(check.place)]),
            thorn: true,
        });
    }
    return list;
}

function notes(report: Report): Finding[] {
    return report.notes.map((note) =>
        found(
            `${note.pitch}, ${note.clef} ${note.staff}`,
            `${note.times === 1 ? 'once' : `${note.times} times`}, first at ${note.first}; ${note.status}. Read: ${note.route}. Key: ${note.key}.`,
            note.events,
        ),
    );
}

function fingers(report: Report): Finding[] {
    const positions = report.positions.map((position) => ({
        at: position.from,
        finding: found(
            `${handWords(position.hand)}: ${position.name}`,
            `Thumb on ${position.thumb}, from ${position.low} to ${position.high}; bars ${barOf(position.from)} to ${barOf(position.to)}.`,
            eventsBetween(report, position.hand, position.from, position.to),
        ),
    }));
    const shifts = report.shifts.map((shift) => ({
        at: shift.at,
        finding: {
            ...found(
                `Shift at ${shift.at}`,
                `The ${handWords(shift.hand)} moves ${Math.abs(shift.keys)} ${Math.abs(shift.keys) === 1 ? 'key' : 'keys'} ${shift.keys > 0 ? 'up' : 'down'}.`,
                eventsBetween(report, shift.hand, shift.at, shift.at),
            ),
            thorn: true,
        },
    }));
    return [...positions, ...shifts].sort((a, b) => barOf(a.at) - barOf(b.at)).map((one) => one.finding);
}

function counts(report: Report): Finding[] {
    return [
        found('Count in', `${report.count_in.counts.join(' ')}, then play on ${report.count_in.enter}.`),
        ...report.counting.map((row) => ({
            ...found(`Bar ${row.measure}, ${handWords(row.hand)}`, row.text),
            events: report.events
                .filter((event) => event.hand === row.hand && barOf(event.place) === row.measure)
                .map((event) => event.id),
            bars: [row.measure],
        })),
    ];
}

const PLAYS: Record<string, string> = {
    R: 'right hand alone',
    L: 'left hand alone',
    turns: 'the hands take turns',
    together: 'together',
    rest: 'both rest',
};

function hands(report: Report): Finding[] {
    const groups = new Map<string, number[]>();
    for (const bar of report.hands) {
        const rhythm = bar.same_rhythm === null ? '' : bar.same_rhythm ? ', same rhythm' : ', different rhythm';
        const name = `${PLAYS[bar.play] ?? bar.play}${bar.motion === null ? '' : `, ${bar.motion} motion`}${rhythm}`;
        groups.set(name, [...(groups.get(name) ?? []), bar.measure]);
    }
    return [...groups].map(([name, bars]) =>
        found(name, `${bars.length === 1 ? 'Bar' : 'Bars'} ${listed(bars.map(String))}.`, [], bars),
    );
}

function patterns(report: Report): Finding[] {
    const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);
    const lines = report.lines.map((line) =>
        found(`Line ${line.letter}`, `Bars ${line.from} to ${line.to}.`, [], range(line.from, line.to)),
    );
    const group = (name: string, groups: number[][]) =>
        groups.map((bars) => found(name, `Bars ${listed(bars.map(String))}.`, [], bars));
    const { bars, right, left } = report.equal;
    // What is said once is not said again: both hands before one, the same before the shape.
    return [
        ...lines,
        ...group('The same in both hands', bars),
        ...group('Right hand the same', without(right.same, bars)),
        ...group('Left hand the same', without(left.same, bars)),
        ...group('Right hand, same shape', without(right.shape, [...bars, ...right.same])),
        ...group('Left hand, same shape', without(left.shape, [...bars, ...left.same])),
    ];
}

function without(groups: number[][], said: number[][]): number[][] {
    const known = new Set(said.map((bars) => bars.join()));
    return groups.filter((bars) => !known.has(bars.join()));
}

const BY_LENS: Record<Lens, (report: Report) => Finding[]> = {
    'look over': lookOver,
    notes,
    fingers,
    counts,
    hands,
    patterns,
};

export function findingsOf(report: Report, lens: Lens): Finding[] {
    return BY_LENS[lens](report);
}
