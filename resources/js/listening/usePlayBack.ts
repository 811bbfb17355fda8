import { useEffect, useRef, useState } from 'react';

/** One thing plays at a time; pressed again, it stops. */
export function usePlayBack() {
    const [plays, setPlays] = useState<string | null>(null);
    const stop = useRef<(() => void) | null>(null);
    useEffect(() => () => stop.current?.(), []);
    const play = async (what: string, start: (ended: () => void) => Promise<() => void>) => {
        stop.current?.();
        stop.current = null;
        if (plays === what) {
            setPlays(null);
            return;
        }
        setPlays(what);
        try {
            stop.current = await start(() => setPlays((now) => (now === what ? null : now)));
        } catch {
            setPlays(null);
        }
    };
    return { plays, play };
}
