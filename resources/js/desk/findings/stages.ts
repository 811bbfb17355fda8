import type { Report } from '../../api';
import { handWords, minutes, tempoWords } from '../../shared/words';
import { t } from '../../text';
import { capital, type Finding, found, stretch } from './finding';

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
                : t(' In {{chunks}} parts: {{chunks2}}.', {
                      chunks: stage.chunks.length,
                      chunks2: stage.chunks.map(partWords).join(', '),
                  });
        const tempo = stage.tempo === null ? '' : `, ${tempoWords(stage.tempo)}`;
        return found(
            `${i + 1}. ${capital(stage.name)}`,
            t('{{do}}{{chunks}} Passes: {{pass}}. {{capital}}{{tempo}}, {{minutes}}.', {
                do: stage.do,
                chunks,
                pass: stage.pass,
                capital: capital(handWords(stage.hand)),
                tempo,
                minutes: minutes(stage.minutes),
            }),
            [],
            [...bars],
        );
    });
}

/** `bars 5 to 8`, `the pickup to bar 4`, `bar 3 into bar 4` where it ends on a first beat. */
function partWords({ from, to }: { from: string; to: string }): string {
    const [first, last] = [Number.parseInt(from, 10), Number.parseInt(to, 10)];
    return last > first && to === `${last}.1`
        ? t('{{stretch}} into bar {{last}}', { stretch: stretch(first, last - 1), last })
        : stretch(first, last);
}
