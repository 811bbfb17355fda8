import type { Report } from '../../api';
import { handWords } from '../../shared/words';
import { t } from '../../text';
import { barsSaid, capital, type Finding, found } from './finding';

export const PLAYS: Record<string, string> = {
    R: t('right hand alone'),
    L: t('left hand alone'),
    turns: t('the hands take turns'),
    together: t('together'),
    rest: t('both rest'),
};

export function hands(report: Report): Finding[] {
    const groups = new Map<string, number[]>();
    for (const bar of report.hands) {
        const rhythm = bar.same_rhythm === null ? '' : bar.same_rhythm ? t(', same rhythm') : t(', different rhythm');
        const name = `${PLAYS[bar.play] ?? bar.play}${bar.motion === null ? '' : t(', {{motion}} motion', { motion: bar.motion })}${rhythm}`;
        groups.set(name, [...(groups.get(name) ?? []), bar.measure]);
    }
    const overs = report.chunks
        .filter((chunk) => chunk.kind === 'hand-over')
        .map((chunk) => {
            const bars = [...new Set([Number.parseInt(chunk.from, 10), Number.parseInt(chunk.to, 10)])];
            return found(
                t('The tune goes over'),
                t('From hand to hand with no gap, in {{barsSaid}}.', { barsSaid: barsSaid(bars) }),
                [],
                bars,
            );
        });
    const first =
        report.hand_first === null
            ? []
            : [
                  found(
                      t('First in the day'),
                      t('The {{handWords}}: its notes are less known.', { handWords: handWords(report.hand_first) }),
                  ),
              ];
    return [
        ...first,
        ...[...groups].map(([name, bars]) => found(capital(name), `${capital(barsSaid(bars))}.`, [], bars)),
        ...overs,
    ];
}
