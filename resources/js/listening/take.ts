import type { Api } from '../api';
import type { HeardKey } from './ear/keys';

export type TakeHeard = Api['TakeHeardResource'];
export type TakeRequest = Api['TakeRequest'];

/** Judges a take; null where there is no connection, and it waits. */
export type Hear = (take: TakeRequest) => Promise<TakeHeard | null>;

/** What a key lasts that nobody let go, in milliseconds. */
const LASTS = 600;

/** What fits into one request; of more the surest are sent. */
export const MOST = 1_200;
const MOST_HEARD = 900;

/** A key of a keyboard, in milliseconds of the page’s clock. */
export interface Note {
    pitch: number;
    at: number;
    off: number | null;
}

/**
 * Seconds from the first key; a key that nobody let go lasts until the next, or a moment.
 * @param began what the page’s clock is behind the time of day, in milliseconds
 */
export function takeOf(notes: readonly Note[], part: number, began: number): TakeRequest {
    const first = notes[0]?.at ?? 0;
    return {
        clientKey: crypto.randomUUID(),
        part,
        source: 'keyboard',
        at: new Date(began + first).toISOString(),
        notes: notes.map(({ pitch, at, off }) => {
            const next = notes.find((other) => other.at > at)?.at ?? at + LASTS;
            return { t: seconds(at - first), off: seconds((off ?? next) - first), pitch };
        }),
    };
}

/** What a microphone heard. @param began time of day, in milliseconds */
export function heardTakeOf(keys: readonly HeardKey[], part: number, began: number): TakeRequest {
    const surest = [...keys].sort((a, b) => b.p - a.p).slice(0, MOST_HEARD);
    return {
        clientKey: crypto.randomUUID(),
        part,
        source: 'microphone',
        at: new Date(began).toISOString(),
        notes: surest
            .sort((a, b) => a.t - b.t || a.pitch - b.pitch)
            .map(({ t, off, pitch, p }) => ({
                t: seconds(1_000 * t),
                off: seconds(1_000 * Math.max(t, off)),
                pitch,
                p: seconds(1_000 * p),
            })),
    };
}

const seconds = (milliseconds: number) => Math.round(milliseconds) / 1_000;
