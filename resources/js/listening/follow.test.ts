import { describe, expect, it } from 'vitest';
import { Follower } from './follow';

const sound = (id: string, at: number, keys: number[], hand: 'R' | 'L' = 'R') => ({ id, at, keys, hand });
const names = (lit: ReadonlyMap<string, 'yes' | 'left'> | null) => (lit === null ? null : [...lit.keys()].join(' '));

describe('the light along the notes', () => {
    it('goes from note to note, also where one comes twice, and has the colour of its hand', () => {
        const follower = new Follower([
            sound('a', 0, [60]),
            sound('l', 0, [48], 'L'),
            sound('b', 1, [60]),
            sound('c', 2, [62, 65]),
        ]);
        expect(names(follower.hear(60))).toBe('a');
        expect([...(follower.hear(48) ?? [])]).toEqual([['l', 'left']]);
        expect(names(follower.hear(60))).toBe('b');
        expect(names(follower.hear(65))).toBe('c');
        expect(names(follower.hear(62))).toBe('c');
    });

    it('passes over what was left out, and stays where another key is struck', () => {
        const follower = new Follower([0, 1, 2, 3, 4, 5].map((at) => sound(String(at), at, [60 + 2 * at])));
        expect(names(follower.hear(60))).toBe('0');
        expect(follower.hear(61)).toBeNull();
        expect(names(follower.hear(66))).toBe('3');
        // Too far ahead is another key.
        expect(follower.hear(90)).toBeNull();
        expect(names(follower.hear(68))).toBe('4');
    });
});
