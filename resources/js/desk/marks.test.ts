import { describe, expect, it } from 'vitest';
import { reportOf } from '../../../tests/report';
import { labelsOf, marksOf, rowsOf } from './marks';

const PAGE = reportOf('R: @c4 q1 3 h2 | h(13) r | q1 3 h2\nL: @5=c3 w5 | w1~ | w1\n');
const said = (
    lens: 'notes' | 'fingers' | 'counts',
    saying: 'letters' | 'solfege' | 'moves' | 'intervals' = 'letters',
    hand = 'R',
) =>
    marksOf(PAGE, [lens], saying)
        .filter((mark) => mark.hand === hand)
        .map((mark) => mark.texts.join(' '));

describe('what a lens writes at the notes', () => {
    it('says notes by letter, syllable, move or interval', () => {
        expect(said('notes')).toEqual(['C', 'E', 'D', 'C E', 'C', 'E', 'D']);
        expect(said('notes', 'solfege')[3]).toBe('do mi');
        expect(said('notes', 'moves').slice(0, 4)).toEqual(['start', 'skip ↗', 'step ↘', 'step ↘']);
        expect(said('notes', 'intervals').slice(0, 4)).toEqual(['start', '↗3', '↘2', '↘2']);
    });

    it('tells printed fingers from worked-out ones, and leaves rests bare', () => {
        const fingers = marksOf(PAGE, ['fingers'], 'letters');
        expect(said('fingers')).toEqual(['1', '3', '2', '1 3', '1', '3', '2']);
        expect(fingers.every((mark) => mark.from === 'page')).toBe(true);
        expect(marksOf(reportOf('R: @c4 q1 d e f\n'), ['fingers'], 'letters').map((mark) => mark.from)).toEqual([
            'page',
            undefined,
            undefined,
            undefined,
        ]);
    });

    it('counts rests too', () => {
        expect(said('counts')[4]).toBe('[3] [4]');
    });

    it('gives two lenses a row each', () => {
        const rows = new Set(marksOf(PAGE, ['notes', 'counts'], 'letters').map((mark) => mark.row));
        expect(rows).toEqual(new Set(['below', 'far below']));
        expect(rowsOf(['notes', 'counts'])).toEqual({ above: 0, below: 2 });
        expect(rowsOf(['fingers', 'hands'])).toEqual({ above: 1, below: 0 });
        expect(rowsOf(['look over'])).toEqual({ above: 0, below: 0 });
    });
});

describe('what a lens writes under the bars', () => {
    it('names what the hands do, equal bars and what sticks', () => {
        expect(labelsOf(PAGE, ['hands']).map((label) => label.text)).toEqual([
            'oblique, two rhythms',
            'together, two rhythms',
            'oblique, two rhythms',
        ]);
        expect(
            labelsOf(reportOf('R: @c4 w1 | wr | w1\nL: @5=c3 wr | w5 | wr\n'), ['hands']).map((label) => label.text),
        ).toEqual(['right', 'left', 'right']);
        expect(labelsOf(reportOf('R: @c4 w1 | w2 | w1\n'), ['patterns'])).toEqual([
            { bar: 0, text: 'a', tone: 'leaf' },
            { bar: 2, text: 'a', tone: 'leaf' },
        ]);
        expect(labelsOf(PAGE, ['trouble'])[0]?.text).toMatch(/^(▲ )?\d+$/);
    });

    it('takes the captions of the second lens where the first has none', () => {
        expect(labelsOf(PAGE, ['notes', 'hands'])).toHaveLength(3);
        expect(labelsOf(PAGE, ['notes'])).toEqual([]);
    });
});
