import { describe, expect, it } from 'vitest';
import { Strikes } from './strikes';

/** Moments a twentieth of a second apart: how loud, and which key is heard best; what is under 0.02 is the room. */
function heard(moments: [level: number, key: number | null][]) {
    const strikes = new Strikes();
    return moments.flatMap(([level, key], i) => {
        const told = strikes.take({ level, key, noisy: false, silent: level < 0.02 ? 1 : 0 }, 50 * i);
        return told === null ? [] : [told];
    });
}

const ROOM: [number, null] = [0.01, null];

describe('strikes', () => {
    it('are told once, when their key was heard twice, at the moment it went down', () => {
        const told = heard([ROOM, ROOM, ROOM, [0.4, null], [0.35, 60], [0.3, 60], [0.28, 60], [0.25, 60], [0.2, 60]]);
        expect(told).toEqual([{ key: 60, at: 110 }]);
    });

    it('of the same key again are told again, as it is louder anew', () => {
        const told = heard([
            ROOM,
            ROOM,
            ROOM,
            [0.4, 60],
            [0.35, 60],
            [0.2, 60],
            [0.15, 60],
            [0.12, 60],
            [0.45, 60],
            [0.4, 60],
            [0.3, 60],
        ]);
        expect(told.map((one) => one.key)).toEqual([60, 60]);
        expect((told[1]?.at ?? 0) - (told[0]?.at ?? 0)).toBe(250);
    });

    it('that join the next key smoothly are told by their key', () => {
        const told = heard([ROOM, ROOM, ROOM, [0.4, 60], [0.35, 60], [0.3, 60], [0.3, 62], [0.3, 62], [0.28, 62]]);
        expect(told.map((one) => one.key)).toEqual([60, 62]);
    });

    it('are none where no key is clear, or only the room is heard', () => {
        expect(
            heard([ROOM, ROOM, ROOM, [0.4, null], [0.3, 61], [0.3, 55], [0.2, 70], [0.2, null], [0.1, null]]),
        ).toEqual([]);
        expect(heard([ROOM, ROOM, [0.015, 60], [0.012, 60], ROOM])).toEqual([]);
    });
});
