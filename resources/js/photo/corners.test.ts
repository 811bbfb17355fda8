import { describe, expect, it } from 'vitest';
import { dragged, nudged, WHOLE } from './corners';

const BOX = { left: 100, top: 50, width: 400, height: 200 };

describe('a corner', () => {
    it('follows the pointer, and the others stay', () => {
        const moved = dragged(WHOLE, 2, { clientX: 400, clientY: 200 }, BOX);
        expect(moved[2]).toEqual({ x: 0.75, y: 0.75 });
        expect(moved.toSpliced(2, 1)).toEqual(WHOLE.toSpliced(2, 1));
    });

    it('does not leave the picture', () => {
        expect(dragged(WHOLE, 0, { clientX: 0, clientY: 9999 }, BOX)[0]).toEqual({ x: 0, y: 1 });
    });

    it('is moved by the arrow keys, with shift ten times as far', () => {
        expect(nudged(WHOLE, 0, 'ArrowRight', false)[0]).toEqual({ x: 0.004, y: 0 });
        expect(nudged(WHOLE, 0, 'ArrowDown', true)[0]).toEqual({ x: 0, y: 0.04 });
        expect(nudged(WHOLE, 1, 'ArrowRight', true)[1]).toEqual({ x: 1, y: 0 });
    });

    it('is left alone by any other key', () => {
        expect(nudged(WHOLE, 0, 'Enter', false)).toBe(WHOLE);
        expect(nudged(WHOLE, 9, 'ArrowUp', false)).toBe(WHOLE);
    });
});
