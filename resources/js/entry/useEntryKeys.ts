import { useEffect, useRef } from 'react';

/**
 * Keys of the entry screen, in force while something is typed too: with Alt by their letter, and Ctrl Enter as `enter`.
 * A key whose work answers false is left to others.
 */
export function useEntryKeys(keys: Record<string, () => unknown>): void {
    const latest = useRef(keys);
    latest.current = keys;
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const ctrl = event.ctrlKey || event.metaKey;
            const name =
                event.key === 'Enter' && ctrl
                    ? 'enter'
                    : event.key === 'Escape'
                      ? 'escape'
                      : event.altKey && !ctrl
                        ? event.code.replace('Key', '').toLowerCase()
                        : '';
            const run = latest.current[name];
            if (run === undefined || run() === false) return;
            event.preventDefault();
            event.stopPropagation();
        };
        // Before the editor has its say.
        window.addEventListener('keydown', onKey, true);
        return () => window.removeEventListener('keydown', onKey, true);
    }, []);
}
