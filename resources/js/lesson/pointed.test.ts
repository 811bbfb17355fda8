import { describe, expect, it } from 'vitest';
import { aHeardTask } from '../../../tests/tasks';
import type { Report } from '../api';
import { atBar, firstBar, rangeAt, step, stretch } from './pointed';

/** Three bars of four beats. */
const report = { bars: [1, 2, 3].map((measure) => ({ measure, first: 1, last: 4 })) } as unknown as Report;

describe('pointing at a place of a task', () => {
    it('begins with the first bar of the task, and goes bar by bar over the page', () => {
        expect(firstBar(aHeardTask())).toBe(2);
        expect(step(atBar(1), 1, report)).toEqual(atBar(2));
        expect(step(atBar(2), 1, report)).toEqual(atBar(2));
        expect(step(atBar(0), -1, report)).toEqual(atBar(0));
        expect(step({ first: 0, last: 1, from: null, to: null }, 1, report)).toEqual(atBar(2));
    });

    it('is exact to the beat, over the bar line and back', () => {
        const bar = stretch(atBar(0), 1, report);
        expect(bar).toEqual({ first: 0, last: 0, from: 1, to: 4 });
        const over = stretch(bar, 1, report);
        expect(over).toEqual({ first: 0, last: 1, from: 1, to: 1 });
        expect(stretch(over, -1, report)).toEqual(bar);
        expect(rangeAt(over)).toEqual({ first: 0, from: 1, last: 1, to: 1 });
        expect(rangeAt(atBar(0))).toBeNull();
    });

    it('is not shorter than a beat, nor longer than the piece', () => {
        const beat = stretch(atBar(0), -1, report);
        expect(beat).toEqual({ first: 0, last: 0, from: 1, to: 1 });
        expect(stretch(beat, -1, report)).toEqual(beat);
        const end = { first: 2, last: 2, from: 3, to: 4 };
        expect(stretch(end, 1, report)).toEqual(end);
    });
});
