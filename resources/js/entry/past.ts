const name = (place: string) => `nasturtium.past.${place}`;
/** Characters that a browser's store is asked for at most. */
const MOST = 400_000;
const PAUSE = 1_000;

let timer: ReturnType<typeof setTimeout> | null = null;
let waiting: (() => void) | null = null;

// A reload does not wait for the pause.
window.addEventListener('pagehide', () => waiting?.());

/** The undo steps of an earlier visit to a page, in this window. */
export function pastOf(place: string): unknown {
    try {
        return JSON.parse(sessionStorage.getItem(name(place)) ?? 'null');
    } catch {
        return null;
    }
}

/** Keeps the undo steps for a reload, once the hand rests. */
export function keepPast(place: string, past: () => unknown): void {
    if (timer !== null) clearTimeout(timer);
    waiting = () => {
        waiting = null;
        try {
            const text = JSON.stringify(past());
            if (text.length < MOST) sessionStorage.setItem(name(place), text);
        } catch {
            // No room: they last until the page is left.
        }
    };
    timer = setTimeout(() => waiting?.(), PAUSE);
}

export function dropPast(place: string): void {
    waiting = null;
    sessionStorage.removeItem(name(place));
}
