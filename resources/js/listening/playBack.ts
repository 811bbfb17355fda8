import type { Playback } from '../api';
import { type Schedule, schedule } from '../shared/sound/beats';
import type { TakeRequest } from './take';

/** A take that can be played back: its keys, and its sound where a microphone heard it. */
export interface Recording {
    notes: TakeRequest['notes'];
    samples?: Float32Array;
    rate?: number;
}

const SURE = 0.5;

/** Seconds before and after a place that is listened to again. */
const AROUND = 1.2;

const nothing = () => undefined;

/** The keys of a take as they came, on the piano that ships. */
export function scheduleOf(notes: TakeRequest['notes']): Schedule {
    const strikes = notes
        .filter((note) => (note.p ?? 1) >= SURE)
        .map((note) => ({
            at: note.t,
            keys: [note.pitch],
            seconds: [Math.max(0.1, note.off - note.t)],
            id: '',
            hand: 'R' as const,
        }));
    return { ticks: [], strikes, start: 0, end: Math.max(0, ...notes.map((note) => note.off)) };
}

/**
 * Plays what was played: its own sound where there is one.
 * @param around seconds of the take; only what lies around it is played
 * @returns stops it
 */
export async function playTake(of: Recording, ended: () => void, around: number | null = null): Promise<() => void> {
    if (of.samples !== undefined && of.rate !== undefined) return playSamples(of.samples, of.rate, ended, around);
    const { play } = await import('../shared/sound/piano');
    return play(scheduleOf(of.notes), { lit: nothing, ended }, false);
}

/** Plays how it is written, the hands of the task, at a tempo. */
export async function playWritten(
    playback: Playback,
    tempo: number,
    hand: 'R' | 'L' | null,
    ended: () => void,
    lit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void = nothing,
): Promise<() => void> {
    const { play } = await import('../shared/sound/piano');
    const wish = { tempo, hands: hand ?? 'both', countIn: false, metronome: false } as const;
    return play(schedule(playback, wish), { lit, ended }, false);
}

/** Clicks the count-in alone, and is over when the first note is due; at once where the device gives no sound. */
export async function countInFor(
    playback: Playback,
    tempo: number,
    beat: (nth: number | null) => void = nothing,
): Promise<void> {
    const plan = schedule(playback, { tempo, hands: 'none', countIn: true, metronome: false });
    const counted = { ...plan, end: plan.start - 0.05 };
    if (counted.ticks.length === 0) return;
    try {
        const { play } = await import('../shared/sound/piano');
        await new Promise<void>((done, failed) => {
            const listener = { lit: nothing, ended: done, beat: (of: { nth: number } | null) => beat(of?.nth ?? null) };
            play(counted, listener, false).catch(failed);
        });
    } catch {
        // Without sound it begins at once.
    }
}

async function playSamples(samples: Float32Array, rate: number, ended: () => void, around: number | null) {
    const context = new AudioContext();
    const buffer = context.createBuffer(1, Math.max(1, samples.length), rate);
    buffer.copyToChannel(samples as Float32Array<ArrayBuffer>, 0);
    const source = context.createBufferSource();
    source.buffer = buffer;
    source.connect(context.destination);
    source.onended = () => {
        context.close().catch(nothing);
        ended();
    };
    if (around === null) source.start();
    else source.start(0, Math.max(0, around - AROUND), 2 * AROUND);
    return () => source.stop();
}

interface Led {
    playback: Playback;
    tempo: number;
    hand: 'R' | 'L' | null;
    /** Only the beat sounds. */
    alone: boolean;
}

/**
 * Counts in and plays bars, or the beat of them; where the device gives no sound it is seen.
 * @param beat told every beat that is struck, from 1
 * @returns stops it
 */
export async function withCountIn(
    { playback, tempo, hand, alone }: Led,
    ended: () => void,
    lit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void,
    beat: (nth: number) => void,
): Promise<() => void> {
    const wish = { tempo, hands: alone ? 'none' : (hand ?? 'both'), countIn: true, metronome: true } as const;
    const listener = { lit, ended, beat: (of: { nth: number } | null) => beat(of === null ? 0 : of.nth + 1) };
    const plan = schedule(playback, wish);
    try {
        const { play } = await import('../shared/sound/piano');
        return await play(plan, listener, false);
    } catch {
        const { showAlone } = await import('../shared/sound/lights');
        return showAlone(plan, listener, false);
    }
}
