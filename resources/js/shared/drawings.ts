import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** A drawing as it is kept in the browser: by the sum of all that it follows from, with the sum of what it is. */
interface Kept {
    svg: string;
    sum: string;
    at: number;
}

interface Drawings extends DBSchema {
    drawings: { key: string; value: Kept; indexes: { at: number } };
}

const NAME = 'nasturtium-drawings';

/** About two hundred pages, and the bars of their tasks. */
const MOST = 600;

let opened: Promise<IDBPDatabase<Drawings>> | null = null;

function open(): Promise<IDBPDatabase<Drawings>> {
    opened ??= openDB<Drawings>(NAME, 1, {
        upgrade: (database) => database.createObjectStore('drawings').createIndex('at', 'at'),
        // Another window deletes or renews it.
        blocking: () => {
            opened?.then((database) => database.close());
            opened = null;
        },
        terminated: () => {
            opened = null;
        },
    });
    return opened;
}

/** SHA-256, in hexadecimal digits. */
async function sumOf(text: string): Promise<string> {
    const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
    return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** Nothing is kept where the browser does not let it: without a secure origin, in some private windows, on a full disk. */
const canKeep = () => globalThis.crypto?.subtle !== undefined && globalThis.indexedDB !== undefined;

/** What follows from the order was drawn here before, perhaps in another visit; else it is drawn now, and kept. */
export async function drawnBefore(order: string, draw: () => Promise<string>): Promise<string> {
    if (!canKeep()) return draw();
    const name = await sumOf(order);
    const before = await read(name);
    if (before !== null) return before;
    const svg = await draw();
    write(name, svg);
    return svg;
}

/** What was kept, if it is still what was written. */
async function read(name: string): Promise<string | null> {
    try {
        const kept = await (await open()).get('drawings', name);
        return kept !== undefined && (await sumOf(kept.svg)) === kept.sum ? kept.svg : null;
    } catch {
        return null;
    }
}

/** Written when there is time; a drawing that cannot be kept is drawn again. */
async function write(name: string, svg: string): Promise<void> {
    try {
        const database = await open();
        await database.put('drawings', { svg, sum: await sumOf(svg), at: Date.now() }, name);
        const over = (await database.count('drawings')) - MOST;
        if (over <= 0) return;
        // The oldest go, a few more than must, so that this is seldom.
        const oldest = await database.getAllKeysFromIndex('drawings', 'at', undefined, over + MOST / 10);
        const gone = database.transaction('drawings', 'readwrite');
        await Promise.all([...oldest.map((key) => gone.store.delete(key)), gone.done]);
    } catch {
        // It is drawn again next time.
    }
}

/** Whoever signs out leaves no music on the device. */
export async function forgetDrawings(): Promise<void> {
    if (!canKeep()) return;
    await open()
        .then((database) => database.clear('drawings'))
        .catch(() => undefined);
}
