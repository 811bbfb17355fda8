import { useMemo, useState } from 'react';
import type { Report } from '../api';
import type { Range } from '../shared/score/beats';
import { type Finding, findingsAt, findingsOf, type Lens } from './findings/findings';
import type { Saying } from './marks';
import { useBars } from './useBars';

/** What is looked at on the desk: a lens or two, a finding, a note, some bars or a range exact to the beat. */
export function useDesk(report: Report) {
    const [lens, setLens] = useState<Lens>('look over');
    const [also, setAlso] = useState<Lens | null>(null);
    const [picked, setPicked] = useState<{ index: number; title: string } | null>(null);
    const [note, setNote] = useState<string | null>(null);
    const [range, setRange] = useState<Range | null>(null);
    const [other, setOther] = useState<number | 'wanted' | null>(null);
    const [saying, setSaying] = useState<Saying>('letters');
    const { bars, choose, step, clear } = useBars(report.bars.length);
    const lenses = useMemo(() => (also === null ? [lens] : [lens, also]), [lens, also]);
    const findings = useMemo(() => findingsOf(report, lens), [report, lens]);
    const chosen = placeOf(findings, picked);
    const setChosen = (index: number | null) =>
        setPicked(index === null ? null : { index, title: findings[index]?.title ?? '' });
    const finding: Finding | null = chosen === null ? null : (findings[chosen] ?? null);
    const bar = bars !== null && bars[0] === bars[1] ? bars[0] : null;
    const letGo = () => {
        clear();
        setRange(null);
        setNote(null);
        setOther(null);
    };
    /** A press on the music: the finding that speaks of it is chosen, the next one on the next press. */
    const point = (event: string | null, index: number) => {
        const at = findingsAt(findings, event, report.bars[index]?.measure ?? -1);
        const next = at[(at.indexOf(chosen ?? -1) + 1) % Math.max(1, at.length)];
        setChosen(next ?? null);
    };
    const onBar = (index: number, more: boolean) => {
        if (other === 'wanted' && bar !== null && index !== bar) {
            setOther(index);
            return;
        }
        setRange(null);
        setNote(null);
        setOther(null);
        choose(index, more);
        point(null, index);
    };
    const look = (next: Lens) => {
        if (next === lens) return;
        setLens(next);
        setChosen(null);
        // The second lens stays beside the new one, unless it is the same.
        if (next === also) setAlso(null);
    };
    const pick = (index: number | null) => {
        letGo();
        setChosen(index);
    };
    return {
        lens,
        also,
        look,
        /** Two lenses together; the same one again puts the second away. */
        lookWith: (next: Lens) => setAlso(next === lens || next === also ? null : next),
        lenses,
        findings,
        finding,
        chosen,
        pick,
        nextFinding: (by: number) => {
            letGo();
            if (findings.length === 0) return;
            const start = by > 0 ? -1 : 0;
            setChosen(((chosen ?? start) + by + findings.length) % findings.length);
        },
        note,
        onNote: (id: string) => {
            const at = report.events.find((event) => event.id === id)?.place ?? '';
            const index = report.bars.findIndex((one) => one.measure === Number.parseInt(at, 10));
            // A note of the bar that is asked for means the bar.
            if (other === 'wanted') {
                onBar(index, false);
                return;
            }
            letGo();
            setNote(id);
            point(id, index);
        },
        bars,
        bar,
        onBar,
        stepBar: (by: number, more: boolean) => {
            setRange(null);
            setNote(null);
            setOther(null);
            step(by, more);
        },
        range,
        onRange: (next: Range) => {
            letGo();
            setChosen(null);
            setRange(next);
        },
        /** The bar that the chosen one is compared with, by index, or that one is asked for. */
        other,
        compare: (first: number | null, second: number | 'wanted' | null) => {
            if (first !== null && first !== bar) {
                letGo();
                choose(first);
            }
            setOther(second);
        },
        letGo: () => {
            letGo();
            setChosen(null);
        },
        saying,
        setSaying,
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
