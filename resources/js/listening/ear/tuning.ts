import { PitchDetector } from 'pitchy';
import { RATE } from './frames';

/** Samples that a pitch is read from. */
const PIECE = 4_096;

/** Pieces that are listened to, spread over the recording. */
const PIECES = 120;

/** How clear a pitch has to be, from 0 to 1. */
const CLEAR = 0.85;

/** Pieces that have to be clear before anything is believed. */
const ENOUGH = 8;

/** Cents that make no difference. */
const LITTLE = 10;

/** Cents by which strings seem higher than they are, as their overtones are a little high. */
const STRINGS = 8;

const HIGHEST = 2_000;
const LOWEST = 60;

/**
 * How many cents a piano is above its pitch, from −50 to 50; 0 where it cannot be told. The middle on a circle, as 49 above is
 * nearly 50 below.
 */
export function centsOf(samples: Float32Array): number {
    const detector = PitchDetector.forFloat32Array(PIECE);
    const step = Math.max(PIECE / 2, Math.floor(samples.length / PIECES));
    let [x, y, count] = [0, 0, 0];
    for (let at = 0; at + PIECE <= samples.length; at += step) {
        const [pitch, clear] = detector.findPitch(samples.subarray(at, at + PIECE), RATE);
        if (clear < CLEAR || pitch < LOWEST || pitch > HIGHEST) continue;
        const turn = 2 * Math.PI * (12 * Math.log2(pitch / 440));
        x += Math.cos(turn);
        y += Math.sin(turn);
        count++;
    }
    // Where the pitches do not agree there is no piano to tune.
    if (count < ENOUGH || Math.hypot(x, y) < count / 2) return 0;
    return Math.round((Math.atan2(y, x) / (2 * Math.PI)) * 100) - STRINGS;
}

export interface InTune {
    samples: Float32Array;
    /** Seconds of the recording for one of these samples’ seconds. */
    by: number;
    cents: number;
}

/** The recording as a piano in tune would have sounded. */
export function inTune(samples: Float32Array): InTune {
    const cents = centsOf(samples);
    if (Math.abs(cents) < LITTLE) return { samples, by: 1, cents };
    const by = 2 ** (-cents / 1_200);
    return { samples: resampled(samples, by), by, cents };
}

/** Every so many samples one; between two of them the line that joins them. */
export function resampled(samples: Float32Array, by: number): Float32Array {
    const all = new Float32Array(Math.floor(samples.length / by));
    for (let i = 0; i < all.length; i++) {
        const at = Math.floor(i * by);
        const part = i * by - at;
        all[i] = (samples[at] ?? 0) * (1 - part) + (samples[at + 1] ?? 0) * part;
    }
    return all;
}
