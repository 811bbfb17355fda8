import { beatAt, type Schedule, soundingAt } from './beats';

export interface Listener {
    /** The notes that sound now, by id. */
    lit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void;
    ended: () => void;
    /** The beat that is struck now; null when it is over. */
    beat?: (beat: ReturnType<typeof beatAt>) => void;
}

const LOOK = 25;

/**
 * Lights the notes as time goes by, and says when it is over.
 * @param now seconds from the first sound
 * @param over called once when the music has ended by itself
 * @returns puts them out
 */
export function show(
    plan: Schedule,
    listener: Listener,
    loop: boolean,
    now: () => number,
    over: () => void = () => {},
): () => void {
    let shown = '';
    let struck = -1;
    let stopped = false;
    const out = () => {
        if (stopped) return;
        stopped = true;
        clearInterval(timer);
        listener.lit(new Map());
        listener.beat?.(null);
    };
    // Not by frames: a window in the background has none, and the music ends there too.
    const timer = setInterval(() => {
        const time = now();
        if (!loop && time > plan.end + 0.05) {
            out();
            over();
            listener.ended();
            return;
        }
        const notes = soundingAt(plan, loop, time);
        const names = [...notes.keys()].join(' ');
        if (names !== shown) listener.lit(notes);
        shown = names;
        const beat = beatAt(plan, loop, time);
        if (beat !== null && beat.nth !== struck) listener.beat?.(beat);
        struck = beat?.nth ?? -1;
    }, LOOK);
    return out;
}

/** For a device without sound: the notes light up by the clock of the page. */
export function showAlone(plan: Schedule, listener: Listener, loop: boolean): () => void {
    const zero = performance.now();
    return show(plan, listener, loop, () => (performance.now() - zero) / 1_000);
}
