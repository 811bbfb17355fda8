import { useEffect } from 'react';

/** The screen stays on while a task is open; the browser gives it back when the page is hidden, so it is asked again. */
export function useAwake(): void {
    useEffect(() => {
        let lock: WakeLockSentinel | null = null;
        let gone = false;
        const ask = async () => {
            if (document.visibilityState !== 'visible' || navigator.wakeLock === undefined) return;
            try {
                const given = await navigator.wakeLock.request('screen');
                if (gone) await given.release();
                else lock = given;
            } catch {
                // A battery that is low, or a browser that does not let it: the screen goes dark as always.
            }
        };
        ask();
        document.addEventListener('visibilitychange', ask);
        return () => {
            gone = true;
            document.removeEventListener('visibilitychange', ask);
            lock?.release().catch(() => undefined);
        };
    }, []);
}
