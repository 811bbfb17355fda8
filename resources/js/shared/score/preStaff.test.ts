// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { engraveWithoutStaff, isWithoutStaff } from './preStaff';

interface Given {
    id: string;
    step?: string;
    octave?: number;
    finger?: number;
    type?: string;
    staff?: number;
    dot?: boolean;
    chord?: boolean;
    grace?: boolean;
    word?: string;
}

const note = (given: Given): string =>
    `<note id="${given.id}">${given.grace ? '<grace/>' : ''}${given.chord ? '<chord/>' : ''}` +
    (given.step === undefined
        ? '<rest/>'
        : `<pitch><step>${given.step}</step><octave>${given.octave ?? 4}</octave></pitch>`) +
    `<type>${given.type ?? 'quarter'}</type>${given.dot ? '<dot/>' : ''}<staff>${given.staff ?? 1}</staff>` +
    (given.finger === undefined
        ? ''
        : `<notations><technical><fingering>${given.finger}</fingering></technical></notations>`) +
    (given.word === undefined ? '' : `<lyric><text>${given.word}</text></lyric>`) +
    '</note>';

const page = (notation: string, ...bars: string[]): string =>
    `<score-partwise><identification><miscellaneous><miscellaneous-field name="notation">${notation}</miscellaneous-field></miscellaneous></identification><part>${bars
        .map((bar, i) => `<measure number="${i + 1}">${bar}</measure>`)
        .join('')}</part></score-partwise>`;

function drawn(music: string, more: Partial<Parameters<typeof engraveWithoutStaff>[0]> = {}): Element {
    const svg = engraveWithoutStaff({
        music,
        width: 600,
        scale: 40,
        lines: 'printed',
        range: null,
        rows: { above: 0, below: 0 },
        ...more,
    });
    return new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement;
}

/** The words in the heads of a note. */
const inHeads = (svg: Element, id: string): string[] =>
    [...svg.querySelectorAll(`[id="${id}"] text`)].map((text) => text.textContent ?? '');

/** Where the head of a note stands: down is more. */
const heightOf = (svg: Element, id: string): number =>
    Number(svg.querySelector(`[id="${id}"] circle, [id="${id}"] ellipse`)?.getAttribute('cy'));

describe('a page without a staff', () => {
    it('is known by what the file says of its notation', () => {
        expect(isWithoutStaff(page('fingers', ''))).toBe(true);
        expect(isWithoutStaff(page('letters', ''))).toBe(true);
        expect(isWithoutStaff(page('staff', ''))).toBe(false);
    });

    it('has the finger in the head, or the letter with the finger beside it', () => {
        const bar = note({ id: 'R1-1', step: 'E', finger: 3 });
        expect(inHeads(drawn(page('fingers', bar)), 'R1-1')).toEqual(['3']);
        expect(inHeads(drawn(page('letters', bar)), 'R1-1')).toEqual(['E', '3']);
    });

    it('goes up where the tune goes up, across the octave too', () => {
        const svg = drawn(
            page(
                'letters',
                note({ id: 'a', step: 'B', octave: 3 }) +
                    note({ id: 'b', step: 'C', octave: 4 }) +
                    note({ id: 'c', step: 'D', octave: 4 }),
            ),
        );
        expect(heightOf(svg, 'b')).toBeLessThan(heightOf(svg, 'a'));
        expect(heightOf(svg, 'c')).toBeLessThan(heightOf(svg, 'b'));
        expect(heightOf(svg, 'a') - heightOf(svg, 'b')).toBe(heightOf(svg, 'b') - heightOf(svg, 'c'));
    });

    it('shows a hand that rests while the other plays only where both rest', () => {
        const rest = (id: string, staff: number) => note({ id, type: 'whole', staff });
        const turns = drawn(page('fingers', note({ id: 'r', step: 'C', type: 'whole' }) + rest('l', 2)));
        expect(turns.querySelectorAll('.rest')).toHaveLength(0);
        const both = drawn(page('fingers', rest('r', 1) + rest('l', 2)));
        expect(both.querySelectorAll('.rest')).toHaveLength(2);
    });

    it('puts both hands in time, though a file has one after the other', () => {
        const right = note({ id: 'r1', step: 'C', type: 'half' }) + note({ id: 'r2', step: 'D', type: 'half' });
        const left =
            note({ id: 'l1', step: 'C', octave: 3, staff: 2, type: 'quarter', dot: true }) +
            note({ id: 'l2', step: 'D', octave: 3, staff: 2, type: 'eighth' }) +
            note({ id: 'l3', step: 'E', octave: 3, staff: 2, type: 'half' });
        const order = [...drawn(page('letters', right + left)).querySelectorAll('.note')].map((one) => one.id);
        expect(order).toEqual(['r1', 'l1', 'l2', 'r2', 'l3']);
    });

    it('draws a chord at one place, and a grace note not at all', () => {
        const svg = drawn(
            page(
                'letters',
                note({ id: 'g', step: 'B', grace: true }) +
                    note({ id: 'a', step: 'C' }) +
                    note({ id: 'a2', step: 'E', chord: true }),
            ),
        );
        expect(svg.querySelectorAll('.note')).toHaveLength(1);
        expect(inHeads(svg, 'a')).toEqual(expect.arrayContaining(['C', 'E']));
    });

    it('has the words of each verse below one another, and nothing that a title could do harm with', () => {
        const svg = drawn(page('fingers', note({ id: 'a', step: 'C', finger: 1, word: 'a &amp; b' })));
        const words = [...svg.querySelectorAll('text')].map((text) => text.textContent);
        expect(words).toContain('a & b');
    });

    it('keeps to the printed lines, or flows', () => {
        const bar = note({ id: 'x', step: 'C', type: 'whole' });
        const broken = page('letters', bar, `<print new-system="yes"/>${bar}`);
        const rows = (svg: Element) =>
            new Set([...svg.querySelectorAll('circle')].map((head) => head.getAttribute('cy')));
        expect(rows(drawn(broken)).size).toBe(2);
        expect(rows(drawn(broken, { lines: 'free' })).size).toBe(1);
    });

    it('draws only the bars that are asked for', () => {
        const bars = [1, 2, 3].map((i) => note({ id: `n${i}`, step: 'C', type: 'whole' }));
        const svg = drawn(page('letters', ...bars), { range: [1, 2] });
        expect([...svg.querySelectorAll('.note')].map((one) => one.id)).toEqual(['n2', 'n3']);
        expect(svg.querySelectorAll('g.measure')).toHaveLength(2);
    });

    it('divides a line that is too full for its paper', () => {
        const full = [1, 2, 3, 4].map((i) => [1, 2, 3, 4].map((k) => note({ id: `n${i}${k}`, step: 'C' })).join(''));
        const height = (svg: Element) => Number(svg.getAttribute('height'));
        expect(height(drawn(page('letters', ...full), { width: 300 }))).toBeGreaterThan(
            height(drawn(page('letters', ...full), { width: 1200 })),
        );
    });

    it('has dots at a repeat and a thick line at the end', () => {
        const bar = note({ id: 'x', step: 'C', type: 'whole' });
        const svg = drawn(
            page(
                'letters',
                `<barline><repeat direction="forward"/></barline>${bar}<barline><repeat direction="backward"/></barline>`,
            ),
        );
        const dots = [...svg.querySelectorAll('circle')].filter((one) => one.getAttribute('r') === '3');
        expect(dots).toHaveLength(4);
        expect(svg.querySelectorAll('path[stroke-width="4"]').length).toBeGreaterThanOrEqual(2);
    });
});
