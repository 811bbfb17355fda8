import { describe, expect, it } from 'vitest';
import filter from './filter.json';
import { type Frames, KEYS, LOWEST, RATE, secondsOf } from './frames';
import { chance, keysOf, Seen } from './keys';
import { centsOf, inTune } from './tuning';

/** Frames in which keys are struck and sound on. */
function frames(struck: { at: number; lasts: number; pitch: number; how?: number }[], count = 300): Frames {
    const of = {
        sounding: new Float32Array(count * KEYS).fill(0.02),
        beginning: new Float32Array(count * KEYS).fill(0.01),
        count,
    };
    for (const { at, lasts, pitch, how = 0.9 } of struck) {
        const key = pitch - LOWEST;
        for (const [by, part] of [
            [-1, 0.5],
            [0, 1],
            [1, 0.6],
        ] as const) {
            of.beginning[(at + by) * KEYS + key] = how * part;
        }
        for (let i = 0; i < lasts; i++) of.sounding[(at + i) * KEYS + key] = how;
    }
    return of;
}

describe('keys in what was seen', () => {
    it('are found where they begin, with their end and how sure they are', () => {
        const [first, second, ...others] = keysOf(
            frames([
                { at: 20, lasts: 40, pitch: 60 },
                { at: 90, lasts: 30, pitch: 64 },
            ]),
        );
        expect(others).toEqual([]);
        expect(first).toMatchObject({ pitch: 60 });
        expect(first?.p).toBeGreaterThan(0.9);
        expect(Math.abs((first?.t ?? 0) - secondsOf(20))).toBeLessThan(0.006);
        expect(first?.off).toBeCloseTo(secondsOf(60), 2);
        expect(second?.t).toBeGreaterThan(first?.off ?? 0);
    });

    it('that are struck again end where they begin anew', () => {
        const [first, again] = keysOf(
            frames([
                { at: 20, lasts: 60, pitch: 60 },
                { at: 80, lasts: 60, pitch: 60 },
            ]),
        );
        expect(first?.off).toBeCloseTo(secondsOf(80), 2);
        expect(again?.t).toBeCloseTo(secondsOf(80), 2);
    });

    it('of a faint beginning without a sound are none', () => {
        const faint = frames([{ at: 50, lasts: 1, pitch: 70, how: 0.3 }]);
        expect(new Seen(faint).candidates()).toEqual([[50, 70 - LOWEST]]);
        expect(keysOf(faint).filter((key) => key.p > 0.5)).toEqual([]);
    });

    it('over a key an octave below that begins together are less sure than alone', () => {
        const over = { at: 50, lasts: 30, pitch: 72, how: 0.6 };
        const sure = (all: Parameters<typeof frames>[0]) => keysOf(frames(all)).find((key) => key.pitch === 72)?.p ?? 0;
        expect(sure([over, { at: 50, lasts: 60, pitch: 60 }])).toBeLessThan(sure([over]));
    });

    it('are told by a filter that has a weight for each feature', () => {
        const features = new Seen(frames([{ at: 20, lasts: 40, pitch: 60 }])).features(20, 60 - LOWEST);
        expect(features).toHaveLength(filter.weight.length);
        expect(chance(filter.mean)).toBeCloseTo(1 / (1 + Math.exp(-(filter.weight[0] ?? 0) * 0)), 5);
    });
});

describe('frames', () => {
    it('follow each other without a step back where two windows meet', () => {
        for (let frame = 0; frame < 600; frame++) expect(secondsOf(frame + 1)).toBeGreaterThan(secondsOf(frame));
        expect(secondsOf(142)).toBeCloseTo(36_164 / RATE, 6);
    });
});

describe('a piano that is out of tune', () => {
    const tones = (cents: number, keys = [60, 64, 67, 60, 65, 69, 62, 67]) => {
        const each = RATE >> 1;
        const samples = new Float32Array(each * keys.length);
        keys.forEach((key, nth) => {
            const turns = (440 * 2 ** ((key - 69 + cents / 100) / 12) * 2 * Math.PI) / RATE;
            for (let i = 0; i < each; i++) samples[nth * each + i] = Math.sin(i * turns) * Math.exp((-3 * i) / each);
        });
        return samples;
    };

    it.each([-40, -20, 0, 30, 45])('is found to be %i cents off, and taken out', (cents) => {
        // A tone without overtones seems lower than a string.
        expect(Math.abs(centsOf(tones(cents)) + 8 - cents)).toBeLessThanOrEqual(4);
        expect(Math.abs(centsOf(inTune(tones(cents)).samples))).toBeLessThanOrEqual(12);
    });

    it('is left as it is where nothing clear is heard, or hardly anything is off', () => {
        let state = 1;
        const noise = Float32Array.from({ length: RATE * 4 }, () => {
            state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
            return state / 2 ** 31 - 1;
        });
        expect(centsOf(noise)).toBe(0);
        expect(inTune(tones(12)).by).toBe(1);
    });
});
