import type { Api } from '../api';
import type { Correction } from './doubts';

/** What a key asks for: a correction, or that the last one is taken back. */
export type Step = Correction | 'undo';

/** As many as the server takes at once. */
const MOST = 40;

/** Takes from what waits what goes to the server together, in the order it was pressed: corrections, or one undo. */
export function nextOf(waiting: Step[]): Pick<Api['CorrectionsRequest'], 'undo' | 'more'> {
    if (waiting[0] === 'undo') {
        waiting.shift();
        return { undo: true, more: [] };
    }
    const undo = waiting.indexOf('undo');
    const taken = waiting.splice(0, Math.min(MOST, undo < 0 ? waiting.length : undo));
    return { undo: false, more: taken.filter((step) => step !== 'undo') };
}
