import type { FromEar, Recording } from './ear.worker';
import earUrl from './ear.worker?worker&url';
import type { HeardKey } from './keys';

export interface Looked {
    keys: HeardKey[];
    /** By how many cents the piano is above its pitch. */
    cents: number;
}

interface Waiting {
    done: (looked: Looked) => void;
    failed: (error: Error) => void;
    part: (part: number) => void;
}

let worker: Worker | null = null;
let next = 1;
const waiting = new Map<number, Waiting>();

function theWorker(): Worker {
    if (worker !== null) return worker;
    const made = new Worker(earUrl, { type: 'module' });
    made.onmessage = ({ data }: MessageEvent<FromEar>) => {
        const one = waiting.get(data.id);
        if ('part' in data) {
            one?.part(data.part);
            return;
        }
        waiting.delete(data.id);
        if ('error' in data) {
            forget();
            one?.failed(new Error(data.error));
        } else one?.done(data);
    };
    made.onerror = () => {
        forget();
        for (const one of waiting.values()) one.failed(new Error('the ear could not be loaded'));
        waiting.clear();
    };
    worker = made;
    return made;
}

/** Without a connection it could not be fetched; the next time tries anew. */
function forget(): void {
    worker?.terminate();
    worker = null;
}

/** Fetches what listens before it is needed. */
export function prepare(): void {
    theWorker();
}

/**
 * The keys in a recording. It is looked at on this device.
 * @param part told how much is done, from 0 to 1
 * @throws when the ear cannot be loaded, or it was broken off
 */
export function keysIn(
    samples: Float32Array,
    rate: number,
    part: (part: number) => void,
    broken: AbortSignal,
): Promise<Looked> {
    const id = next++;
    const order: Recording = { id, samples, rate };
    return new Promise((done, failed) => {
        waiting.set(id, { done, failed, part });
        broken.addEventListener('abort', () => {
            waiting.delete(id);
            worker?.postMessage({ ...order, samples: null } satisfies Recording);
            failed(new Error('broken off'));
        });
        theWorker().postMessage(order);
    });
}
