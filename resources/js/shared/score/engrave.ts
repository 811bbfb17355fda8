import { drawnBefore } from '../drawings';
import { cleanDrawing } from './clean';
import type { Engraved, Order } from './engraver.worker';
import engraver from './engraver.worker?worker&url';
import { engraveWithoutStaff, isWithoutStaff } from './preStaff';

let worker: Worker | null = null;
let next = 1;
const waiting = new Map<number, { done: (svg: string) => void; failed: (error: Error) => void }>();

function theWorker(): Worker {
    if (worker === null) {
        worker = new Worker(engraver, { type: 'module' });
        worker.onmessage = (event: MessageEvent<Engraved>) => {
            const { id, svg, error } = event.data;
            const order = waiting.get(id);
            waiting.delete(id);
            if (svg !== null) order?.done(svg);
            else order?.failed(new Error(error ?? 'the music cannot be engraved'));
        };
        // The engine could not be loaded: whoever waits is told, and the next order loads it again.
        worker.onerror = () => {
            worker?.terminate();
            worker = null;
            for (const order of waiting.values()) order.failed(new Error('the engraving could not be loaded'));
            waiting.clear();
        };
    }
    return worker;
}

/** Starts the engine before it is needed, once the browser has nothing else to do. */
export function start(): void {
    if (globalThis.requestIdleCallback === undefined) theWorker();
    else requestIdleCallback(() => theWorker());
}

/** Engraves music in the worker, which is loaded the first time it is needed; a page without a staff is drawn here. */
function engrave(order: Omit<Order, 'id'>): Promise<string> {
    const id = next++;
    return new Promise((done, failed) => {
        waiting.set(id, { done, failed });
        theWorker().postMessage({ ...order, id } satisfies Order);
    });
}

/** Drawings of late, by what was ordered; a page that is typed changes one line at a time. */
const kept = new Map<string, Promise<string>>();
const MOST = 120;

/** The name of the engraver's file changes with its version and with how it is told to draw. */
function draw(name: string, order: Omit<Order, 'id'>, passing: boolean): Promise<string> {
    if (isWithoutStaff(order.music)) return Promise.resolve(cleanDrawing(engraveWithoutStaff(order)));
    const anew = () => engrave(order).then(cleanDrawing);
    return passing ? anew() : drawnBefore(`${engraver} ${name}`, anew);
}

export interface Scores extends Omit<Order, 'id' | 'music'> {
    music: readonly string[];
    /** Music that is being typed changes with every key, and is not kept for another visit. */
    passing: boolean;
}

/** Engraves scores that stand one below the other; what was drawn before is not drawn again. */
export function engraveAll({ music, passing, ...how }: Scores): Promise<string[]> {
    return Promise.all(
        music.map((one) => {
            const name = `${JSON.stringify(how)} ${one}`;
            const known = kept.get(name) ?? draw(name, { ...how, music: one }, passing);
            // The newest stands last, and the oldest goes.
            kept.delete(name);
            kept.set(name, known);
            known.catch(() => kept.delete(name));
            const oldest = kept.keys().next().value;
            if (kept.size > MOST && oldest !== undefined) kept.delete(oldest);
            return known;
        }),
    );
}
