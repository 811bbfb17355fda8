import type { Schedule } from './beats';
import { type Listener, showAlone } from './lights';

/** What sounds, and how it is stopped. */
export interface Sounding {
    stop: () => void;
    /** The device gives no sound: what would sound is only seen. */
    isSilent: boolean;
}

/** Plays a schedule; the sound is fetched when it is first wanted. */
export async function sounding(plan: Schedule, listener: Listener, loop = false): Promise<Sounding> {
    try {
        const { play } = await import('./piano');
        return { stop: await play(plan, listener, loop), isSilent: false };
    } catch {
        return { stop: showAlone(plan, listener, loop), isSilent: true };
    }
}
