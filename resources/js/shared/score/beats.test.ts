import { describe, expect, it } from 'vitest';
import { reportOf } from '../../../../tests/report';
import { beatAt, beatLines, beatOf, boxesOf, rangeOf, rangeWords } from './beats';
import type { Box, Places } from './places';

const REPORT = reportOf('R: @c4 q1234 | h1 2\n');

const box = (x: number, width: number): Box => ({ x, y: 100, width, height: 40 });

/** Two bars of 100 pixels; the notes stand where their beats are, ten pixels in. */
const PLACES: Places = {
    notes: new Map(
        REPORT.events.map((event) => {
            const bar = Number.parseInt(event.place, 10) - 1;
            return [event.id, { ...box(bar * 100 + 10 + (beatOf(event.place) - 1) * 22, 8), y: 110 }];
        }),
    ),
    measures: [box(0, 100), box(100, 100)],
    staves: [[box(0, 100)], [box(100, 100)]],
    extents: [[box(0, 100)], [box(100, 100)]],
    barRests: new Set(),
};

describe('where the beats are', () => {
    it('reads a beat of a place', () => {
        expect([beatOf('2.1'), beatOf('2.3+1/2'), beatOf('0.4')]).toEqual([1, 3.5, 4]);
    });

    it('finds the beat under a point, also where no note begins', () => {
        const lines = beatLines(REPORT, PLACES);
        expect(beatAt(lines, PLACES, 3, 120)).toEqual({ measure: 0, beat: 1 });
        expect(beatAt(lines, PLACES, 60, 120)).toEqual({ measure: 0, beat: 3 });
        // Between the halves of bar 2 lies its second beat.
        expect(beatAt(lines, PLACES, 140, 120)).toEqual({ measure: 1, beat: 2 });
        expect(beatAt(lines, PLACES, 500, 120)).toEqual({ measure: 1, beat: 4 });
    });

    it('turns two points into a range, whichever way it was dragged', () => {
        const range = { first: 0, from: 3, last: 1, to: 2 };
        expect(rangeOf({ measure: 0, beat: 3 }, { measure: 1, beat: 2 })).toEqual(range);
        expect(rangeOf({ measure: 1, beat: 2 }, { measure: 0, beat: 3 })).toEqual(range);
    });

    it('tints each bar from its first beat to its last', () => {
        const boxes = boxesOf({ first: 0, from: 3, last: 1, to: 2 }, beatLines(REPORT, PLACES), PLACES);
        expect(boxes.map((one) => [one.x, Math.round(one.x + one.width)])).toEqual([
            [51, 100],
            [100, 151],
        ]);
    });

    it('says a range as a teacher does', () => {
        expect(rangeWords(REPORT, { first: 0, from: 3, last: 1, to: 2 })).toBe('bar 1, beat 3 to bar 2, beat 2');
        expect(rangeWords(REPORT, { first: 0, from: 1, last: 1, to: 4 })).toBe('bars 1 to 2');
        expect(rangeWords(REPORT, { first: 1, from: 1, last: 1, to: 4 })).toBe('bar 2');
        expect(rangeWords(REPORT, { first: 1, from: 2, last: 1, to: 2 })).toBe('bar 2, beat 2');
        expect(rangeWords(REPORT, { first: 1, from: 2, last: 1, to: 3 })).toBe('bar 2, beats 2 to 3');
    });
});
