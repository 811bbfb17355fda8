import type { Api, Report } from '../api';
import { BarLabels } from '../shared/score/BarLabels';
import { Marks } from '../shared/score/Marks';
import { Rings } from '../shared/score/Rings';
import { Score } from '../shared/score/Score';
import { t } from '../text';
import type { Lens } from './findings/findings';
import { labelsOf, marksOf, rowsOf, type Saying } from './marks';

/** As on the desk, with lines to write on, bare for ringing, or rung. */
export type SheetKind = 'lens' | 'blank' | 'ring' | 'rung';

interface Props {
    data: Api['BreakdownResource'];
    lenses: readonly Lens[];
    saying: Saying;
    kind: SheetKind;
    ring: Report['rings'][number] | undefined;
    /** Of the paper, in millimetres. */
    width: number;
}

/** The music of a printed sheet. */
export function SheetMusic({ data, lenses, saying, kind, ring, width }: Props) {
    const { piece, report } = data;
    const rows = rowsOf(lenses);
    // A hand writes larger than print.
    const room = kind === 'blank' ? { above: rows.above, below: rows.below * 2 } : rows;
    const written = kind === 'lens' || kind === 'blank';
    return (
        <div style={{ width: `${width}mm` }}>
            <Score
                music={piece.music}
                title={t('{{title}}, engraved', { title: piece.title })}
                scale={40}
                rows={written ? room : undefined}
                hideFingers={written && lenses.includes('fingers')}
                overlay={(places) => (
                    <>
                        {written && (
                            <Marks places={places} marks={marksOf(report, lenses, saying)} blank={kind === 'blank'} />
                        )}
                        {kind === 'lens' && (
                            <BarLabels places={places} labels={labelsOf(report, lenses)} under={rows.below} />
                        )}
                        {kind === 'rung' && ring !== undefined && <Rings places={places} ids={heads(report, ring)} />}
                    </>
                )}
            />
        </div>
    );
}

/** The note heads that are meant, chords looked into: the first has the id of its event, the others a number more. */
export function heads(report: Report, ring: Report['rings'][number]): string[] {
    const events = new Map(report.events.map((event) => [event.id, event]));
    return [...new Set(ring.events)].flatMap((id) =>
        (events.get(id)?.letters ?? []).flatMap((letter, i) =>
            letter === ring.what ? [i === 0 ? id : `${id}.${i}`] : [],
        ),
    );
}
