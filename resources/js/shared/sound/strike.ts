import * as Tone from 'tone';
import { samples } from './piano';

let keys: Tone.Sampler | null = null;

/** Sounds keys at once, for a moment; silent where the device gives no sound. */
export async function strike(midi: number[]): Promise<void> {
    try {
        await Tone.start();
        keys ??= new Tone.Sampler({ urls: await samples(), release: 0.5 }).toDestination();
        for (const key of midi) keys.triggerAttackRelease(Tone.Frequency(key, 'midi').toNote(), 0.5);
    } catch {
        // The key is typed all the same.
    }
}
