import { type PointerEvent, useMemo, useRef, useState } from 'react';
import type { Report } from '../../api';
import { t } from '../../text';
import { BarButtons } from './BarButtons';
import { beatAt, beatLines, boxesOf, type Range, rangeOf } from './beats';
import { noteAt, type Places } from './places';

interface Props {
    report: Report;
    places: Places;
    /** Measures that are chosen or belong to the finding, by index. */
    bars: ReadonlySet<number>;
    /** Measures with a slip, by index. */
    slipped?: ReadonlySet<number>;
    /** A range that was dragged. */
    range: Range | null;
    onBar: (index: number, more: boolean) => void;
    onNote: (id: string) => void;
    onRange: (range: Range) => void;
}

/** How far a pointer goes before a press is a drag, in pixels. */
const DRAG = 7;

/** Over the music: a press on a note tells of the note, one beside it of the bar; a drag marks a range to the beat. */
export function MusicLayer({ report, places, bars, slipped, range, onBar, onNote, onRange }: Props) {
    const lines = useMemo(() => beatLines(report, places), [report, places]);
    const { dragged, handlers } = usePointing({ lines, places, onBar, onNote, onRange });
    const shown = dragged ?? range;
    return (
        <>
            <BarButtons
                places={places}
                label={(i) =>
                    slipped?.has(i)
                        ? t('Bar {{measure}}, slip noted', { measure: report.bars[i]?.measure })
                        : t('Bar {{measure}}', { measure: report.bars[i]?.measure })
                }
                state={(i) => (bars.has(i) ? 'chosen' : slipped?.has(i) ? 'slip' : 'plain')}
                choose={onBar}
            />
            {shown !== null &&
                boxesOf(shown, lines, places).map((box) => (
                    <div
                        key={`${box.x} ${box.y}`}
                        className="score-range"
                        style={{ left: box.x, top: box.y, width: box.width, height: box.height }}
                    />
                ))}
            <div className="score-layer" aria-hidden="true" {...handlers} />
        </>
    );
}

/** What a pointer means that is pressed, drawn and let go over the music: a note, a bar, or a range. */
function usePointing({
    lines,
    places,
    onBar,
    onNote,
    onRange,
}: Pick<Props, 'places' | 'onBar' | 'onNote' | 'onRange'> & { lines: ReturnType<typeof beatLines> }) {
    const down = useRef<{ x: number; y: number } | null>(null);
    const [dragged, setDragged] = useState<Range | null>(null);
    const pointOf = (event: PointerEvent) => {
        const corner = event.currentTarget.getBoundingClientRect();
        return { x: event.clientX - corner.left, y: event.clientY - corner.top };
    };
    const rangeTo = (to: { x: number; y: number }): Range | null => {
        const start = down.current && beatAt(lines, places, down.current.x, down.current.y);
        const end = beatAt(lines, places, to.x, to.y);
        return start && end ? rangeOf(start, end) : null;
    };
    const letGo = () => {
        down.current = null;
        setDragged(null);
    };
    const handlers = {
        onPointerDown: (event: PointerEvent) => {
            if (event.button !== 0) return;
            down.current = pointOf(event);
            event.currentTarget.setPointerCapture(event.pointerId);
        },
        onPointerMove: (event: PointerEvent) => {
            if (down.current === null) return;
            const at = pointOf(event);
            if (dragged !== null || Math.abs(at.x - down.current.x) > DRAG) setDragged(rangeTo(at));
        },
        onPointerUp: (event: PointerEvent) => {
            if (down.current === null) return;
            const at = pointOf(event);
            if (dragged !== null) {
                onRange(rangeTo(at) ?? dragged);
            } else {
                const note = noteAt(places, at.x, at.y);
                const bar = beatAt(lines, places, at.x, at.y);
                if (note !== null) onNote(note);
                else if (bar !== null) onBar(bar.measure, event.shiftKey);
            }
            letGo();
        },
        onPointerCancel: letGo,
    };
    return { dragged, handlers };
}
