import { useMemo, useState } from 'react';
import type { Report } from '../shared/api';
import type { Range } from './beats';
import { type Finding, findingsAt, findingsOf, type Lens } from './findings/findings';
import type { Saying } from './marks';
import { useBars } from './useBars';

/** What is looked at on the desk: a lens or two, a finding, a note, some bars or a range exact to the beat. */
export function useDesk(report: Report) {
    const [lens, setLens] = useState<Lens>('look over');
    const [also, setAlso] = useState<Lens | null>(null);
    const [chosen, setChosen] = useState<number | null>(null);
    const [note, setNote] = useState<string | null>(null);
    const [range, setRange] = useState<Range | null>(null);
    const [other, setOther] = useState<number | 'wanted' | null>(null);
    const [saying, setSaying] = useState<Saying>('letters');
    const { bars, choose, step, clear } = useBars(report.bars.length);
    const lenses = useMemo(() => (also === null ? [lens] : [lens, also]), [lens, also]);
    const findings = useMemo(() => findingsOf(report, lens), [report, lens]);
    const finding: Finding | null = chosen === null ? null : (findings[chosen] ?? null);
    const bar = bars !== null && bars[0] === bars[1] ? bars[0] : null;
    const letGo = () => {
        clear();
        setRange(null);
        setNote(null);
        setOther(null);
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
    /** A press on the music: the finding that speaks of it is chosen, the next one on the next press. */
    const point = (event: string | null, index: number) => {
        const at = findingsAt(findings, event, report.bars[index]?.measure ?? -1);
        const next = at[(at.indexOf(chosen ?? -1) + 1) % Math.max(1, at.length)];
        setChosen(next ?? null);
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
            setChosen((before) =>
                before === null
                    ? by > 0
                        ? 0
                        : findings.length - 1
                    : (before + by + findings.length) % findings.length,
            );
        },
        note,
        onNote: (id: string) => {
            const at = report.events.find((event) => event.id === id)?.place ?? '';
            const index = report.bars.findIndex((one) => one.measure === Number.parseInt(at, 10));
            letGo();
            setNote(id);
            point(id, index);
        },
        bars,
        bar,
        onBar: (index: number, more: boolean) => {
            if (other === 'wanted' && bar !== null && index !== bar) {
                setOther(index);
                return;
            }
            setRange(null);
            setNote(null);
            setOther(null);
            choose(index, more);
            point(null, index);
        },
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

export type DeskState = ReturnType<typeof useDesk>;
