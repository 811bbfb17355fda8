import { useCallback, useRef } from 'react';

/** A function that stays the same from drawing to drawing and does what the newest one does; for parts that are costly to draw anew. */
export function useStable<Args extends unknown[], Result>(
    latest: (...args: Args) => Result,
): (...args: Args) => Result {
    const now = useRef(latest);
    now.current = latest;
    return useCallback((...args: Args) => now.current(...args), []);
}
