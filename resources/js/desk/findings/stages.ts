import type { Report } from '../../api';
import { handWords, minutes, tempoWords } from '../../shared/words';
import { capital, type Finding, found } from './finding';

/** The way the page is learnt, stage by stage. */
export function stages(report: Report): Finding[] {
    return report.stages.map((stage, i) => {
        const bars = new Set<number>();
        for (const chunk of stage.chunks) {
            for (let bar = Number.parseInt(chunk.from, 10); bar <= Number.parseInt(chunk.to, 10); bar++) bars.add(bar);
        }
        const chunks =
            stage.chunks.length < 2
                ? ''
                : ` In ${stage.chunks.length} parts: ${stage.chunks.map((one) => `${one.from}–${one.to}`).join(', ')}.`;
        const tempo = stage.tempo === null ? '' : `, ${tempoWords(stage.tempo)}`;
        return found(
            `${i + 1}. ${capital(stage.name)}`,
            `${stage.do}${chunks} Passes: ${stage.pass}. ${capital(handWords(stage.hand))}${tempo}, ${minutes(stage.minutes)}.`,
            [],
            [...bars],
        );
    });
}
