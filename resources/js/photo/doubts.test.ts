import { describe, expect, it } from 'vitest';
import { asked, doubtsOf, held, keyName, lineOf, neighbour, type ReadPage, stepped } from './doubts';

const head = (name: string) => ({ name, finger: null, tied: false });
const sign = (...names: string[]) => ({ x: 10, id: names[0] ?? '', length: 'quarter', heads: names.map(head) });
const staff = (doubts: string[], ...signs: ReturnType<typeof sign>[]) => ({ from: 0, to: 99, doubts, signs });
const bar = (number: number, line: number, ...staves: ReturnType<typeof staff>[]) => ({
    number,
    line,
    checks: [],
    staves,
});

const PAGE = {
    pieces: [
        {
            bars: [
                bar(1, 2, staff([], sign('C4'), sign('E4', 'G4'), sign()), staff(['sum'], sign('C3'))),
                bar(2, 3, staff(['sign', 'place'], sign('D4')), staff([])),
            ],
        },
    ],
} as unknown as ReadPage;
const PIECE = PAGE.pieces[0] as ReadPage['pieces'][number];
const AT = { piece: 0, bar: 0, staff: 0, sign: 0, head: 0 };

describe('doubtful places', () => {
    it('come in the order in which they are played, the upper staff first', () => {
        expect(doubtsOf(PIECE, 0)).toEqual([
            { piece: 0, bar: 0, staff: 1 },
            { piece: 0, bar: 1, staff: 0 },
        ]);
    });

    it('are asked about by what is in doubt', () => {
        expect(asked(['sum'])).toBe('Do these lengths fill the bar?');
        expect(asked(['sign', 'place'])).toContain('Is this accidental right? Does this note stand');
        expect(asked(['twice'])).toContain('did not come out the same');
        expect(asked(['something new'])).toBe('Is this right?');
    });
});

describe('the sign that is looked at', () => {
    it('goes through a chord from its lowest note, to the right and back', () => {
        const seen = [AT];
        for (let i = 0; i < 5; i++) seen.push(stepped(PAGE, seen.at(-1) ?? AT, 1));
        expect(seen.map(({ sign, head }) => [sign, head])).toEqual([
            [0, 0],
            [1, 0],
            [1, 1],
            [2, 0],
            [2, 0],
            [2, 0],
        ]);
        expect(stepped(PAGE, { ...AT, sign: 2 }, -1)).toMatchObject({ sign: 1, head: 1 });
        expect(stepped(PAGE, AT, -1)).toEqual(AT);
    });

    it('stays among the signs that are left', () => {
        expect(held(PAGE, { ...AT, sign: 9, head: 4 })).toMatchObject({ sign: 2, head: 0 });
        expect(held(PAGE, { ...AT, sign: 1, head: 4 })).toMatchObject({ sign: 1, head: 1 });
        expect(held(PAGE, { ...AT, bar: 1, staff: 1, sign: 3 })).toMatchObject({ sign: 0, head: 0 });
    });

    it('is in the next staff, then in the next bar, and no further than the piece', () => {
        const spot = { piece: 0, bar: 0, staff: 1 };
        expect(neighbour(PIECE, spot, 1)).toEqual({ piece: 0, bar: 1, staff: 0 });
        expect(neighbour(PIECE, spot, -1)).toEqual({ piece: 0, bar: 0, staff: 0 });
        expect(neighbour(PIECE, { piece: 0, bar: 1, staff: 1 }, 1)).toEqual({ piece: 0, bar: 1, staff: 1 });
    });
});

describe('what is said of a piece', () => {
    it('names keys by their signs', () => {
        expect([0, 1, -1, 3, -4].map(keyName)).toEqual([
            'no sharps or flats',
            '1 sharp',
            '1 flat',
            '3 sharps',
            '4 flats',
        ]);
    });
});

it('a bar stands in the line of its piece, whatever stands above on the page', () => {
    expect([lineOf(PIECE, 0), lineOf(PIECE, 1), lineOf(PIECE, 7)]).toEqual([0, 1, -2]);
});
