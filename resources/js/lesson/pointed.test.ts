import { describe, expect, it } from 'vitest';
import { aHeardTask } from '../../../tests/tasks';
import type { Report } from '../api';
import { atBar, firstBar, lastBar, rangeAt, step, stretch } from './pointed';

/** Three bars of four beats. */
const report = { bars: [1, 2, 3].map((measure) => ({ measure, first: 1, last: 4 })) } as unknown as Report;

describe('pointing at a place of a task', () => {
    // Its bars are 3 to 5, of index 2 to 4.
    const task = aHeardTask();

    it('goes bar by bar, no farther than the task', () => {
        expect([firstBar(task), lastBar(task)]).toEqual([2, 4]);
        expect(step(atBar(2), 1, task)).toEqual(atBar(3));
        expect(step(atBar(2), -1, task)).toEqual(atBar(2));
        expect(step({ first: 2, last: 4, from: null, to: null }, 1, task)).toEqual(atBar(4));
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
