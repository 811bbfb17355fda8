import { type DBSchema, openDB } from 'idb';

/** The sound of a take, kept on this device because the family wished it. */
export interface KeptSound {
    id: number;
    /** The task it is of. */
    task: number;
    /** When it was kept. */
    at: string;
    rate: number;
    samples: Float32Array;
}

interface Sounds extends DBSchema {
    sounds: { key: number; value: Omit<KeptSound, 'id'> & { id?: number }; indexes: { task: number } };
}

/** A week; then it goes by itself. */
const WEEK = 7 * 24 * 3_600_000;

const open = () =>
    openDB<Sounds>('nasturtium-sounds', 1, {
        upgrade: (database) => {
            database.createObjectStore('sounds', { keyPath: 'id', autoIncrement: true }).createIndex('task', 'task');
        },
    });

export async function keepSound(sound: Omit<KeptSound, 'id'>): Promise<void> {
    await (await open()).add('sounds', sound);
}

/** Those of a task, the newest first; what is older than a week is deleted, of whatever task. */
export async function soundsOf(task: number, now = Date.now()): Promise<KeptSound[]> {
    const database = await open();
    for (const one of await database.getAll('sounds')) {
        if (one.id !== undefined && Date.parse(one.at) < now - WEEK) await database.delete('sounds', one.id);
    }
    const kept = (await database.getAllFromIndex('sounds', 'task', task)) as KeptSound[];
    return kept.sort((a, b) => b.at.localeCompare(a.at));
}

export async function deleteSound(id: number): Promise<void> {
    await (await open()).delete('sounds', id);
}
