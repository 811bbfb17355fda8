import { describe, expect, it } from 'vitest';
import { noteAt, readPlaces } from './places';

/** A drawing of one measure with one staff of two lines and one note, as far as reading needs it. */
function drawing() {
    const at = (left: number, top: number, width: number, height: number) => ({
        getBoundingClientRect: () => ({ left, top, width, height }),
    });
    const line = (top: number) => ({ ...at(110, top, 200, 1), tagName: 'path' });
    const staff = { ...at(110, 40, 200, 60), children: [line(50), line(58), { ...at(120, 20, 10, 80), tagName: 'g' }] };
    const measure = { ...at(110, 20, 200, 90), querySelectorAll: () => [staff] };
    const head = at(150, 52, 8, 6);
    const note = { ...at(150, 30, 8, 30), id: 'R1-1', querySelector: () => head };
    const rest = { ...at(180, 50, 6, 12), id: 'R1-2', querySelector: () => null };
    return {
        ...at(100, 10, 400, 300),
        querySelectorAll: (what: string) => (what === 'g.measure' ? [measure] : [note, rest]),
    } as unknown as HTMLElement;
}

describe('where things stand in the drawing', () => {
    it('finds note heads without their stems, and rests', () => {
        const { notes } = readPlaces(drawing());
        expect(notes.get('R1-1')).toEqual({ x: 50, y: 42, width: 8, height: 6 });
        expect(notes.get('R1-2')).toEqual({ x: 80, y: 40, width: 6, height: 12 });
    });

    it('tells the note that is nearest to a finger', () => {
        const places = readPlaces(drawing());
        expect(noteAt(places, 52, 44)).toBe('R1-1');
        expect(noteAt(places, 60, 50)).toBe('R1-1');
        expect(noteAt(places, 84, 60)).toBe('R1-2');
        expect(noteAt(places, 10, 10)).toBeNull();
        places.notes.set('R1-3.1', { x: 100, y: 40, width: 8, height: 6 });
        expect(noteAt(places, 104, 43)).toBe('R1-3');
    });

    it('finds the lines of a staff without what hangs on them', () => {
        const { staves, measures } = readPlaces(drawing());
        expect(staves[0]?.[0]).toEqual({ x: 10, y: 40, width: 200, height: 9 });
        expect(measures[0]).toEqual({ x: 10, y: 40, width: 200, height: 9 });
    });
});
