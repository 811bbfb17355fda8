import { useState } from 'react';

/** The bars that are chosen on the desk, from one index to another. */
export function useBars(count: number) {
    const [bars, setBars] = useState<[number, number] | null>(null);
    const [from, setFrom] = useState(0);
    /** One bar, or all from the one chosen before to this one; the same bar again lets go. */
    const choose = (index: number, more = false) => {
        if (more && bars !== null) {
            setBars([Math.min(from, index), Math.max(from, index)]);
        } else if (bars !== null && bars[0] === index && bars[1] === index) {
            setBars(null);
        } else {
            setFrom(index);
            setBars([index, index]);
        }
    };
    /** By arrows: to the next bar, or one bar more. */
    const step = (by: number, more: boolean) => {
        const at = bars === null ? (by > 0 ? -1 : count) : from === bars[0] ? bars[1] : bars[0];
        const next = Math.max(0, Math.min(count - 1, at + by));
        if (bars !== null && bars[0] === next && bars[1] === next) return;
        choose(next, more);
    };
    return { bars, choose, step, clear: () => setBars(null) };
}
