import { useMemo, useState } from 'react';
import { type Api, api, ask, at, type Playback } from '../api';
import { forStudent } from '../shared/breakdown';
import { BarLabels } from '../shared/score/BarLabels';
import { type Range, rangeWords } from '../shared/score/beats';
import { Marks } from '../shared/score/Marks';
import { MusicLayer } from '../shared/score/MusicLayer';
import { Score } from '../shared/score/Score';
import { Player } from '../shared/sound/Player';
import { t } from '../text';
import { BarTiles } from './BarTiles';
import styles from './DeskMusic.module.css';
import { labelsOf, marksOf, rowsOf } from './marks';
import type { DeskState } from './useDesk';

type Breakdown = Api['BreakdownResource'];
type Lit = ReadonlyMap<string, 'yes' | 'left'>;

const SILENT: Lit = new Map();

/** The page, large, with what the lenses write on it; the bars as tiles; and the sound of what is chosen. */
export function DeskMusic({ data, desk, student }: { data: Breakdown; desk: DeskState; student: string | null }) {
    const { piece, report, playback } = data;
    const [sounding, setSounding] = useState<Lit>(SILENT);
    const { lenses, saying, bars, range } = desk;
    const written = useMemo(() => marksOf(report, lenses, saying), [report, lenses, saying]);
    const words = api.useQuery('get', '/pieces/{piece}/words', at({ piece: piece.id }));
    const rows = useMemo(() => rowsOf(lenses), [lenses]);
    const labels = useMemo(() => labelsOf(report, lenses), [report, lenses]);
    const lit = useLit(report, desk, sounding);
    const chosen = useChosen(report, desk);
    const beats = range ?? (bars === null ? null : wholeBars(data, bars));
    return (
        <div className={`sheet ${styles.music}`}>
            <div className={styles.score} data-captioned={labels.length > 0 ? 'yes' : undefined}>
                <Score
                    music={piece.music}
                    title={t('{{title}}, {{measures}} bars, engraved; in words beside it', {
                        title: piece.title,
                        measures: piece.measures,
                    })}
                    scale={45}
                    rows={rows}
                    hideFingers={lenses.includes('fingers')}
                    lit={lit}
                    words={words.data}
                    overlay={(places) => (
                        <>
                            <Marks places={places} marks={written} />
                            <BarLabels places={places} labels={labels} under={rows.below} />
                            <MusicLayer
                                report={report}
                                places={places}
                                bars={chosen}
                                range={range}
                                onBar={desk.onBar}
                                onNote={desk.onNote}
                                onRange={desk.onRange}
                            />
                        </>
                    )}
                />
            </div>
            <BarTiles report={report} chosen={chosen} choose={desk.onBar} />
            <Player
                key={JSON.stringify(beats)}
                playback={beats === null ? playback : () => soundOf(piece.id, beats, student)}
                tempo={report.stages.findLast((stage) => stage.tempo !== null)?.tempo ?? 80}
                hand={null}
                onLit={setSounding}
                what={beats === null ? undefined : rangeWords(report, beats)}
            />
        </div>
    );
}

function wholeBars(data: Breakdown, [first, last]: [number, number]) {
    return { first, from: data.report.bars[first]?.first ?? 1, last, to: data.report.bars[last]?.last ?? 1 };
}

/** The notes that are lit: those that sound, or else what was chosen. */
function useLit(report: Breakdown['report'], { finding, note }: DeskState, sounding: Lit): Lit {
    const hands = useMemo(() => new Map(report.events.map((event) => [event.id, event.hand])), [report]);
    return useMemo(() => {
        if (sounding.size > 0) return sounding;
        const ids = note === null ? (finding?.events ?? []) : [note];
        return new Map(ids.map((id) => [id, hands.get(id) === 'L' ? ('left' as const) : ('yes' as const)]));
    }, [finding, note, hands, sounding]);
}

/** The bars that are chosen, by index: the teacher’s own, or those that the finding speaks of. */
function useChosen(report: Breakdown['report'], { finding, bars }: DeskState): Set<number> {
    return useMemo(() => {
        const numbers = new Set(bars === null ? (finding?.bars ?? []) : []);
        return new Set(
            report.bars.flatMap((bar, i) =>
                numbers.has(bar.measure) || (bars !== null && i >= bars[0] && i <= bars[1]) ? [i] : [],
            ),
        );
    }, [report, finding, bars]);
}

function soundOf(piece: number, beats: Range, student: string | null): Promise<Playback> {
    return ask('get', '/pieces/{piece}/playback', {
        params: {
            path: { piece },
            query: {
                first: beats.first,
                last: beats.last,
                fromBeat: beats.from,
                toBeat: beats.to,
                ...forStudent(student),
            },
        },
    });
}
