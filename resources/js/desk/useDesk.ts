import { useMemo, useState } from 'react';
import type { Report } from '../api';
import type { Range } from '../shared/score/beats';
import { type Finding, findingsAt, findingsOf, type Lens } from './findings/findings';
import { useLenses } from './lenses';
import { useBars } from './useBars';

/** What is looked at on the desk: a lens or two, a finding, a note, some bars or a range exact to the beat. */
export function useDesk(report: Report) {
    const looking = useLenses();
    const { lens } = looking;
    const hand = useHand(report.bars.length);
    const { bar, other, clearMarks, letGo } = hand;
    const found = useFindings(report, lens);
    const { setChosen, point } = found;
    const { onBar, onNote } = pressing(report, hand, point);
    const look = (next: Lens) => {
        if (next === lens) return;
        looking.look(next);
        setChosen(null);
    };
    return {
        ...looking,
        look,
        ...found,
        pick: (index: number | null) => {
            letGo();
            setChosen(index);
        },
        nextFinding: (by: number) => {
            letGo();
            found.next(by);
        },
        note: hand.note,
        bars: hand.bars,
        bar,
        range: hand.range,
        other,
        compare: hand.compare,
        onNote,
        onBar,
        stepBar: (by: number, more: boolean) => {
            clearMarks();
            hand.step(by, more);
        },
        onRange: (next: Range) => {
            letGo();
            setChosen(null);
            hand.setRange(next);
        },
        letGo: () => {
            letGo();
            setChosen(null);
        },
    };
}

/** What the hand has chosen on the music: bars, a note, or a range exact to the beat. */
function useHand(count: number) {
    const [note, setNote] = useState<string | null>(null);
    const [range, setRange] = useState<Range | null>(null);
    const [other, setOther] = useState<number | 'wanted' | null>(null);
    const { bars, choose, step, clear } = useBars(count);
    const bar = bars !== null && bars[0] === bars[1] ? bars[0] : null;
    const clearMarks = () => {
        setRange(null);
        setNote(null);
        setOther(null);
    };
    const letGo = () => {
        clear();
        clearMarks();
    };
    return {
        bars,
        choose,
        step,
        note,
        setNote,
        range,
        setRange,
        bar,
        /** The bar that the chosen one is compared with, by index, or that one is asked for. */
        other,
        setOther,
        clearMarks,
        letGo,
        compare: (first: number | null, second: number | 'wanted' | null) => {
            if (first !== null && first !== bar) {
                letGo();
                choose(first);
            }
            setOther(second);
        },
    };
}

/** A press on a bar or a note chooses it, and the finding that speaks of it. */
function pressing(
    report: Report,
    hand: ReturnType<typeof useHand>,
    point: (event: string | null, bar: number) => void,
) {
    const { bar, other, choose, clearMarks, letGo } = hand;
    const onBar = (index: number, more: boolean) => {
        if (other === 'wanted' && bar !== null && index !== bar) {
            hand.setOther(index);
            return;
        }
        clearMarks();
        choose(index, more);
        point(null, index);
    };
    const onNote = (id: string) => {
        const at = report.events.find((event) => event.id === id)?.place ?? '';
        const index = report.bars.findIndex((one) => one.measure === Number.parseInt(at, 10));
        // A note of the bar that is asked for means the bar.
        if (other === 'wanted') {
            onBar(index, false);
            return;
        }
        letGo();
        hand.setNote(id);
        point(id, index);
    };
    return { onBar, onNote };
}

/** What the lens has found, and which finding is chosen. */
function useFindings(report: Report, lens: Lens) {
    const [picked, setPicked] = useState<{ index: number; title: string } | null>(null);
    const findings = useMemo(() => findingsOf(report, lens), [report, lens]);
    const chosen = placeOf(findings, picked);
    const setChosen = (index: number | null) =>
        setPicked(index === null ? null : { index, title: findings[index]?.title ?? '' });
    return {
        findings,
        chosen,
        setChosen,
        finding: chosen === null ? null : (findings[chosen] ?? null),
        next: (by: number) => {
            if (findings.length === 0) return;
            const start = by > 0 ? -1 : 0;
            setChosen(((chosen ?? start) + by + findings.length) % findings.length);
        },
        /** A press on the music: the finding that speaks of it is chosen, the next one on the next press. */
        point: (event: string | null, index: number) => {
            const at = findingsAt(findings, event, report.bars[index]?.measure ?? -1);
            setChosen(at[(at.indexOf(chosen ?? -1) + 1) % Math.max(1, at.length)] ?? null);
        },
    };
}

/** Where a finding stands now: a correction or a verdict may have moved it. */
function placeOf(findings: readonly Finding[], picked: { index: number; title: string } | null): number | null {
    if (picked === null) return null;
    if (findings[picked.index]?.title === picked.title) return picked.index;
    const now = findings.findIndex((one) => one.title === picked.title);
    return now < 0 ? null : now;
}

export type DeskState = ReturnType<typeof useDesk>;
