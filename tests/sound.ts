import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type MidiEvent, writeMidi } from 'midi-file';
import { resampled } from '../resources/js/listening/ear/tuning';

/** A key of a take, in seconds. */
export interface Played {
    t: number;
    off: number;
    pitch: number;
    vel?: number;
}

/** Pianos of Debian's sound fonts: a file, and the number of the instrument in it. */
export const VOICES = {
    small: ['/usr/share/sounds/sf2/TimGM6mb.sf2', 0],
    grand: ['/usr/share/sounds/sf2/FluidR3_GM.sf2', 0],
    bright: ['/usr/share/sounds/sf2/FluidR3_GM.sf2', 1],
} as const;

export type Voice = keyof typeof VOICES;

export const hasVoice = (voice: Voice) => existsSync(VOICES[voice][0]);

const RATE = 22_050;
const TICKS = 1_000;

/** A take as a MIDI file; a tick is a millisecond. */
export function midiOf(notes: readonly Played[], program: number): Uint8Array {
    const events = notes
        .flatMap(({ t, off, pitch, vel = 70 }) => [
            { at: Math.round(t * TICKS), pitch, vel },
            { at: Math.round(off * TICKS) - 1, pitch, vel: 0 },
        ])
        .sort((a, b) => a.at - b.at || a.vel - b.vel);
    let now = 0;
    const track: MidiEvent[] = [
        { deltaTime: 0, type: 'setTempo', microsecondsPerBeat: 1_000_000 },
        { deltaTime: 0, type: 'programChange', channel: 0, programNumber: program },
    ];
    for (const { at, pitch, vel } of events) {
        const deltaTime = Math.max(0, at - now);
        now += deltaTime;
        track.push({ deltaTime, type: vel > 0 ? 'noteOn' : 'noteOff', channel: 0, noteNumber: pitch, velocity: vel });
    }
    track.push({ deltaTime: TICKS, type: 'endOfTrack' });
    return Uint8Array.from(writeMidi({ header: { format: 0, numTracks: 1, ticksPerBeat: TICKS }, tracks: [track] }));
}

/** A take as sound: mono samples from −1 to 1, 22,050 a second. */
export function soundOf(notes: readonly Played[], voice: Voice, room = 0.4): Float32Array {
    const [font, program] = VOICES[voice];
    const folder = mkdtempSync(join(tmpdir(), 'take-'));
    try {
        writeFileSync(join(folder, 'take.mid'), midiOf(notes, program));
        const out = join(folder, 'take.raw');
        const options = ['-ni', '-q', '-F', out, '-T', 'raw', '-O', 'float', '-r', String(RATE), '-g', '0.6'];
        const reverb = ['-R', '1', '-C', '0', '-o', `synth.reverb.room-size=${room}`];
        execFileSync('fluidsynth', [...options, ...reverb, font, join(folder, 'take.mid')], { stdio: 'ignore' });
        const raw = readFileSync(out);
        const both = new Float32Array(raw.buffer.slice(raw.byteOffset, raw.byteOffset + raw.byteLength));
        return Float32Array.from(
            { length: both.length >> 1 },
            (_, i) => ((both[2 * i] ?? 0) + (both[2 * i + 1] ?? 0)) / 2,
        );
    } finally {
        rmSync(folder, { recursive: true });
    }
}

/** Noise of a level in decibels below the loudest sample; the same seed gives the same noise. */
export function withNoise(sound: Float32Array, decibels: number, seed: number): Float32Array {
    const loudest = sound.reduce((most, one) => Math.max(most, Math.abs(one)), 0);
    const level = loudest * 10 ** (decibels / 20);
    let state = seed >>> 0 || 1;
    const chance = () => {
        state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
        return state / 2 ** 31 - 1;
    };
    return sound.map((one) => one + level * chance());
}

/** The same, higher or lower by cents, and as much quicker or slower. */
export const outOfTune = (sound: Float32Array, cents: number) => resampled(sound, 2 ** (cents / 1_200));
