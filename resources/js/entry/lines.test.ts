import { describe, expect, it } from 'vitest';
import { changesOf, offsetOf, onEnter, spansAt } from './lines';

const page = ['title: ', 'time: 4/4', 'R: @c4 q1', 'R2: o', 'W: la', 'L: @5=c3 w5', '', 'R: w1', 'L: '];

describe('Enter', () => {
    it('goes from heading to heading, and into the music', () => {
        expect(onEnter(page, 0)).toEqual({ to: 1 });
        expect(onEnter(page, 1)).toEqual({ to: 2 });
    });

    it('goes from hand to hand, past voices and words, and to the next printed line', () => {
        expect(onEnter(page, 2)).toEqual({ to: 5 });
        expect(onEnter(page, 4)).toEqual({ to: 5 });
        expect(onEnter(page, 5)).toEqual({ to: 7 });
        expect(onEnter(page, 7)).toEqual({ to: 8 });
    });

    it('begins the line that is missing', () => {
        expect(onEnter(page, 8)).toEqual({ insert: 'R: ', at: 8 });
        expect(onEnter(['R: w1'], 0)).toEqual({ insert: 'L: ', at: 0 });
        expect(onEnter(['R: w1', 'R2: o', 'R: w2'], 0)).toEqual({ insert: 'L: ', at: 1 });
    });

    it('is a plain new line where nothing follows', () => {
        expect(onEnter(['title: '], 0)).toBeNull();
        expect(onEnter([''], 0)).toBeNull();
    });
});

describe('places in the text', () => {
    const text = 'time: 3/4\nR: @c4 q1 (13)\n';
    const spans = [
        { id: 'R1-1', bar: 0, line: 2, column: 9, length: 1 },
        { id: 'R1-2', bar: 0, line: 2, column: 11, length: 4 },
    ];

    it('are offsets, never past the end', () => {
        expect(offsetOf(text, 2, 9)).toBe(18);
        expect(offsetOf(text, 9, 9)).toBe(text.length);
    });

    it('are changed all at once', () => {
        expect(
            changesOf(text, [
                { line: 2, column: 15, length: 0, insert: ' r' },
                { line: 2, column: 9, length: 1, insert: '2' },
            ]),
        ).toEqual([
            { from: 18, to: 19, insert: '2' },
            { from: 24, to: 24, insert: ' r' },
        ]);
    });

    it('tell the note at the cursor, before it, and those in a selection', () => {
        const at = (from: number, to = from) => spansAt(text, spans, from, to).map((span) => span.id);
        expect(at(18)).toEqual(['R1-1']);
        expect(at(19)).toEqual(['R1-1']);
        expect(at(21)).toEqual(['R1-2']);
        expect(at(3)).toEqual([]);
        expect(at(18, 22)).toEqual(['R1-1', 'R1-2']);
    });
});
