import * as Tone from 'tone';
import type { Api } from '../api';
import { soundsFor } from '../shared/sound/own';
import { samples } from '../shared/sound/piano';

/** Seconds until the first sound, so that the audio clock has it in time. */
const AHEAD = 0.15;

const milliseconds = (seconds: number) => Math.round(seconds * 1_000);

let keys: Tone.Sampler | null = null;

/**
 * Sounds keys on the audio clock.
 * @returns how many milliseconds it lasts
 * @throws when the device gives no sound
 */
export async function hear(heard: readonly Api['HeardResource'][]): Promise<number> {
    await Tone.start();
    keys ??= new Tone.Sampler({ urls: await samples(), release: 0.5 }).toDestination();
    const zero = Tone.immediate() + AHEAD;
    for (const { key, at, lasts } of heard) {
        const name = Tone.Frequency(key, 'midi').toNote();
        keys.triggerAttackRelease(name, lasts / 1_000, zero + at / 1_000, 0.8);
    }
    const all = milliseconds(AHEAD) + Math.max(0, ...heard.map(({ at, lasts }) => at + lasts));
    soundsFor(all);
    return all;
}

export interface Counting {
    /** Milliseconds on the audio clock from the first beat after the count, of something that happened on the page. */
    since: (timeStamp: number) => number;
    /** Milliseconds until that beat. */
    until: number;
}

/**
 * Clicks a count.
 * @param beat milliseconds of one count
 * @throws when the device gives no sound
 */
export async function count(beat: number, clicks: number): Promise<Counting> {
    await Tone.start();
    const click = new Tone.Synth({
        oscillator: { type: 'triangle' },
        envelope: { attack: 0.001, decay: 0.06, sustain: 0, release: 0.02 },
        volume: -6,
    }).toDestination();
    const start = Tone.immediate() + AHEAD;
    for (let i = 0; i < clicks; i++) {
        click.triggerAttackRelease(i === 0 ? 'C6' : 'G5', 0.03, start + (i * beat) / 1_000);
    }
    const first = start + (clicks * beat) / 1_000;
    soundsFor(milliseconds(AHEAD) + (clicks - 1) * beat);
    setTimeout(() => click.dispose(), clicks * beat + 2_000);
    return {
        since: (timeStamp) => milliseconds(Tone.immediate() - (performance.now() - timeStamp) / 1_000 - first),
        until: milliseconds(first - Tone.immediate()),
    };
}
