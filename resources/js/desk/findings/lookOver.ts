import type { Report } from '../../api';
import { listed } from '../../shared/words';
import { barOf, barsSaid, capital, type Finding, found } from './finding';

/** What a teacher would point at before a note is played. */
export function lookOver(report: Report): Finding[] {
    const { piece, count_in: countIn } = report;
    const first = report.events.filter((event) => event.place === report.events[0]?.place).map((event) => event.id);
    const list = [
        ...report.traps
            .filter((trap) => trap.code === 'one_clef')
            .map((trap) => ({ ...found('Both hands in one clef', trap.text), thorn: true })),
        found(
            'Time and key',
            `${piece.time} in ${piece.key}, ${piece.measures} bars on ${piece.lines === 1 ? 'one line' : `${piece.lines} lines`}.`,
        ),
        found(
            'To learn',
            report.learn.text,
            [],
            report.learn.order.map((bar) => bar.measure),
        ),
        found('Count in', `${countIn.counts.join(' ')}, then play on ${countIn.enter}.`, first),
    ];
    return [...list, ...whatChanges(report), ...newNotes(report), ...warnings(report)];
}

/** Time that changes, the tempo, a pickup, and the way through. */
function whatChanges(report: Report): Finding[] {
    const list: Finding[] = [];
    const { piece } = report;
    const changes = report.bars.filter((bar, i) => i > 0 && bar.time !== report.bars[i - 1]?.time && bar.measure > 1);
    for (const bar of changes) {
        list.push(found(`Bar ${bar.measure} changes time`, `From here it is ${bar.time}.`, [], [bar.measure]));
    }
    if (piece.tempo !== null || piece.tempo_words !== null) {
        const range = piece.tempo_from === null ? `${piece.tempo ?? ''}` : `${piece.tempo_from} to ${piece.tempo}`;
        list.push(found('Tempo', `${[piece.tempo_words, range && `goal ${range}`].filter(Boolean).join(', ')}.`));
    }
    if (piece.pickup !== '0') {
        const beats = `${piece.pickup} ${piece.pickup === '1' ? 'beat' : 'beats'}`;
        list.push(found('Pickup', `It starts before the bar, with ${beats}.`, [], [0]));
    }
    if (report.play_order.length !== report.hands.length) {
        list.push(
            found(
                'The way through',
                `${report.beats.played} beats are played, ${report.beats.written} are written: ${report.play_order.join(' ')}.`,
            ),
        );
    }
    return list;
}

/** Notes that the student has not met. */
function newNotes(report: Report): Finding[] {
    const list: Finding[] = [];
    const fresh = report.notes.filter((note) => note.status === 'new');
    if (report.student && fresh.length > 0) {
        const names = listed([...new Set(fresh.map((note) => note.pitch))]);
        list.push(
            found(
                'New notes',
                `${names}.`,
                fresh.flatMap((note) => note.events),
            ),
        );
    }
    return list;
}

/** Where it will be hard, and what does not add up. */
function warnings(report: Report): Finding[] {
    const list: Finding[] = [];
    const thorns = report.sticking.filter((point) => point.thorn).map((point) => point.measure);
    if (thorns.length > 0) {
        list.push({
            ...found('Where it will stick', `${capital(barsSaid(thorns))}.`, [], thorns),
            thorn: true,
        });
    }
    for (const check of report.checks) {
        list.push({
            ...found(`Check at ${check.place}`, check.text, check.events, [barOf(check.place)]),
            thorn: true,
        });
    }
    return list;
}
