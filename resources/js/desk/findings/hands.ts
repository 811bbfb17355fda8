import type { Report } from '../../api';
import { handWords } from '../../shared/words';
import { barsSaid, capital, type Finding, found } from './finding';

export const PLAYS: Record<string, string> = {
    R: 'right hand alone',
    L: 'left hand alone',
    turns: 'the hands take turns',
    together: 'together',
    rest: 'both rest',
};

export function hands(report: Report): Finding[] {
    const groups = new Map<string, number[]>();
    for (const bar of report.hands) {
        const rhythm = bar.same_rhythm === null ? '' : bar.same_rhythm ? ', same rhythm' : ', different rhythm';
        const name = `${PLAYS[bar.play] ?? bar.play}${bar.motion === null ? '' : `, ${bar.motion} motion`}${rhythm}`;
        groups.set(name, [...(groups.get(name) ?? []), bar.measure]);
    }
    const overs = report.chunks
        .filter((chunk) => chunk.kind === 'hand-over')
        .map((chunk) => {
            const bars = [...new Set([Number.parseInt(chunk.from, 10), Number.parseInt(chunk.to, 10)])];
            return found('The tune goes over', `From hand to hand with no gap, in ${barsSaid(bars)}.`, [], bars);
        });
    const first =
        report.hand_first === null
            ? []
            : [found('First in the day', `The ${handWords(report.hand_first)}: its notes are less known.`)];
    return [
        ...first,
        ...[...groups].map(([name, bars]) => found(capital(name), `${capital(barsSaid(bars))}.`, [], bars)),
        ...overs,
    ];
}
