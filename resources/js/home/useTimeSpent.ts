import { useCallback, useEffect, useRef } from 'react';

/** How long something is looked at: hidden screens and long pauses are left out. */
export class TimeSpent {
    private spent = 0;
    private last: number | null;

    /** @param longestPause in seconds, between two touches */
    constructor(
        private readonly longestPause: number,
        now: number,
    ) {
        this.last = now;
    }

    /** Somebody touches it, or it comes into sight again. */
    touch(now: number): void {
        if (this.last !== null && now - this.last <= this.longestPause * 1000) this.spent += now - this.last;
        this.last = now;
    }

    /** It is out of sight until it is touched again. */
    hide(now: number): void {
        this.touch(now);
        this.last = null;
    }

    /** Whole seconds. */
    seconds(now: number): number {
        this.touch(now);
        return Math.round(this.spent / 1000);
    }
}

const TOUCHES = ['pointerdown', 'keydown', 'scroll'] as const;

/** Measures from now on, as long as the screen is open; answers the seconds so far. */
export function useTimeSpent(longestPause: number): () => number {
    const spent = useRef<TimeSpent | null>(null);
    spent.current ??= new TimeSpent(longestPause, performance.now());
    useEffect(() => {
        const touched = () => spent.current?.touch(performance.now());
        const seen = () => (document.hidden ? spent.current?.hide(performance.now()) : touched());
        for (const touch of TOUCHES) window.addEventListener(touch, touched, { passive: true });
        document.addEventListener('visibilitychange', seen);
        return () => {
            for (const touch of TOUCHES) window.removeEventListener(touch, touched);
            document.removeEventListener('visibilitychange', seen);
        };
    }, []);
    return useCallback(() => spent.current?.seconds(performance.now()) ?? 0, []);
}
