import { describe, expect, it } from 'vitest';
import { type Now, Recorded } from './microphone';

const RATE = 22_050;
const PIECE = 1_024;

/** A tone, or the noise of a room, given piece by piece. */
function record(parts: { seconds: number; level: number; hertz?: number }[]) {
    const said: Now[] = [];
    const recorded = new Recorded(RATE, (now) => said.push(now));
    let at = 0;
    let state = 7;
    for (const { seconds, level, hertz } of parts) {
        for (let left = Math.round((seconds * RATE) / PIECE); left > 0; left--) {
            recorded.take(
                Float32Array.from({ length: PIECE }, () => {
                    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
                    const noise = state / 2 ** 31 - 1;
                    return level * (hertz === undefined ? noise : Math.sin((2 * Math.PI * hertz * at++) / RATE));
                }),
            );
        }
    }
    return { said, recorded, last: said.at(-1) };
}

describe('what the microphone hears', () => {
    it('is the key that sounds, and how long it has been silent', () => {
        const { said, last } = record([
            { seconds: 0.6, level: 0.001 },
            { seconds: 0.6, level: 0.3, hertz: 261.6 },
            { seconds: 2, level: 0.001 },
        ]);
        expect(said[5]?.silent).toBeNull();
        expect(said.filter((now) => now.key !== null).map((now) => now.key)).toContain(60);
        expect(last?.silent).toBeGreaterThan(1.8);
        expect(last?.key).toBeNull();
    });

    it('is a loud room where even its quietest moment is loud; what is louder is heard all the same', () => {
        const { said, last } = record([
            { seconds: 1, level: 0.02 },
            { seconds: 0.5, level: 0.5, hertz: 440 },
        ]);
        expect(said[15]).toMatchObject({ noisy: false, silent: null });
        expect(record([{ seconds: 1, level: 0.1 }]).last?.noisy).toBe(true);
        expect(last).toMatchObject({ key: 69, silent: 0 });
    });

    it('is kept from where the count-in ended', () => {
        const { recorded } = record([{ seconds: 1, level: 0.1 }]);
        expect(recorded.all().length).toBe(22 * PIECE);
        recorded.forget();
        expect(recorded.all().length).toBe(0);
    });
});
