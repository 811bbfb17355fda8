import type { Playback } from '../api';
import { type Schedule, schedule } from '../shared/sound/beats';
import { sounding } from '../shared/sound/sounding';
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
    return (await sounding(scheduleOf(of.notes), { lit: nothing, ended })).stop;
}

interface Written {
    playback: Playback;
    tempo: number;
    /** Whose notes sound; null for both hands, none leaves the beat alone. */
    hand: 'R' | 'L' | 'none' | null;
    countIn?: boolean;
    metronome?: boolean;
}

/**
 * Plays how it is written, at a tempo.
 * @param beat told every beat that is struck, from 1; 0 when it is over
 * @returns stops it
 */
export async function playWritten(
    { playback, tempo, hand, countIn = false, metronome = false }: Written,
    ended: () => void,
    lit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void = nothing,
    beat: (nth: number) => void = nothing,
): Promise<() => void> {
    const plan = schedule(playback, { tempo, hands: hand ?? 'both', countIn, metronome });
    const told = (of: { nth: number } | null) => beat(of === null ? 0 : of.nth + 1);
    return (await sounding(plan, { lit, ended, beat: told })).stop;
}

/** Clicks the count-in alone, and is over when the first note is due, or it is broken off. */
export async function countInFor(playback: Playback, tempo: number, broken: AbortSignal): Promise<void> {
    const plan = schedule(playback, { tempo, hands: 'none', countIn: true, metronome: false });
    if (plan.ticks.length === 0) return;
    await new Promise<void>((ended) => {
        broken.addEventListener('abort', () => ended());
        sounding({ ...plan, end: plan.start - 0.05 }, { lit: nothing, ended }).then(({ stop }) => {
            if (broken.aborted) stop();
            else broken.addEventListener('abort', stop);
        });
    });
}

/** What is written for a hand; null for both. */
export const soundsOf = (playback: Playback, hand: 'R' | 'L' | null) =>
    playback.sounds.filter((sound) => hand === null || sound.hand === hand);

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
