import { describe, expect, it } from 'vitest';
import { reportOf } from '../../../../tests/report';
import { beatsWords } from './finding';
import { type Finding, findingsAt, findingsOf } from './findings';
import { alike } from './patterns';

/** Two lines in 4/4 with a pickup, a repeat, a shift, and bars that are alike. */
const PAGE = reportOf(
    'tempo: 60-96 Gently\nR: @c4 q1 |: 1 2 h3 | q5 4 h3 | q1 2 h3 | @g4 q1 2 h3 :|\nL: @5=c3 qr | w5 | h1 5 | w5 | wr\nR: @c4 q1 2 h3 | h.1\nL: q5 1 5 1 | h.5\n',
    'C4,D4,E4,F4,G4,C3',
);
const titles = (findings: readonly Finding[]) => findings.map((one) => one.title);
const named = (findings: readonly Finding[], title: string) => findings.find((one) => one.title.startsWith(title));

describe('what is said beside the music', () => {
    it('looks over what a teacher would point at first', () => {
        const found = findingsOf(PAGE, 'look over');
        const order = ['Clefs', 'Key', 'Time', 'Tempo', 'Pickup', 'The way through'];
        expect(titles(found).slice(0, order.length)).toEqual(order);
        expect(titles(found)).toEqual(expect.arrayContaining(['Where the hands start', 'New notes', 'The form']));
        expect(named(found, 'Tempo')?.text).toBe('Gently, ♩ = 60 to 96.');
        expect(named(found, 'Pickup')).toMatchObject({
            text: 'It starts before the bar, with one beat. Count 1 2 3, then play on 4.',
            bars: [0],
        });
        expect(named(found, 'The form')?.text).toContain(PAGE.learn.text);
        expect(named(found, 'Where the hands start')?.events).toHaveLength(2);
    });

    it('warns of both hands in one clef before all else', () => {
        const both = reportOf('R: @c5 w1\nL: [treble] @c4 w1\n');
        expect(titles(findingsOf(both, 'look over'))[0]).toBe('Both hands in one clef');
    });

    it('says which notes to drill only where it is known whose page it is', () => {
        const found = findingsOf(PAGE, 'notes');
        expect(named(found, 'Before the page')?.text).toContain('G3 in the bass clef (new, ');
        expect(named(found, 'G3')).toMatchObject({ keys: [{ midi: 55, text: 'G', hand: 'L' }] });
        const nobody = findingsOf(reportOf('R: @c4 q1234\n'), 'notes');
        expect(named(nobody, 'Before the page')).toBeUndefined();
        expect(named(nobody, 'C4')?.text).not.toContain('new');
    });

    it('colours a key by the hand that plays it, also where both are in one clef', () => {
        const both = findingsOf(reportOf('R: @g4 w1\nL: [treble] @c4 w1\n'), 'notes');
        expect(named(both, 'C4')).toMatchObject({ keys: [{ hand: 'L' }] });
        expect(named(both, 'G4')).toMatchObject({ keys: [{ hand: 'R' }] });
    });

    it('lays positions on the keyboard and tells each shift with the time for it', () => {
        const found = findingsOf(PAGE, 'fingers');
        expect(named(found, 'Right hand: C position')?.keys?.map((key) => key.midi)).toEqual([60, 62, 64, 65, 67]);
        expect(named(found, 'Shift at bar 4, beat 1')).toMatchObject({ thorn: true });
        expect(named(found, 'Shift at bar 4, beat 1')?.text).toBe(
            'The right hand moves 4 keys up, thumb from C4 to G4; 2 beats from note to note, no rest.',
        );
        expect(named(found, 'In the air, right hand')?.text).toBe('1 | 1 2 3 | 5 4 3 | 1 2 3 | 1 2 3 | 1 2 3 | 1');
    });

    it('names scales and broken chords whose fingers are standard', () => {
        const found = findingsOf(reportOf('R: v c d e f g a b c | q e, e e e |\n'), 'fingers');
        const scale = found.find((one) => one.title === 'C major scale, standard fingering');
        expect(scale?.text).toBe('Right hand: 1 2 3 1 2 3 4 5.');
        expect(scale?.events).toHaveLength(8);
        expect(found.filter((one) => one.title.includes('standard'))).toHaveLength(1);
    });

    it('says the parts of a stage in bars, and the pickup by its name', () => {
        const two = reportOf('R: @c4 q1 | w1 | w2\nL: / | @5=c3 w5 | w5\nR: w3 | w1\nL: w5 | w5\n');
        const air = named(findingsOf(two, 'stages'), '4. Fingers in the air');
        expect(air?.text).toContain('In 2 parts: the pickup to bar 2, bars 3 to 4.');
        const turns = findingsOf(two, 'stages').find((one) => one.title.endsWith('Join lines'));
        expect(turns?.text).not.toMatch(/\d\.\d/);
    });

    it.each([
        ['1', '1 beat'],
        ['2', '2 beats'],
        ['1/2', 'half a beat'],
        ['1/4', '¼ of a beat'],
        ['3/2', '1½ beats'],
        ['7/3', '2⅓ beats'],
        ['5/6', '5/6 of a beat'],
        ['11/6', '11/6 of a beat'],
    ])('says %s in words', (beats, said) => {
        expect(beatsWords(beats)).toBe(said);
    });

    it('tells of crossings, wide chords and weak fingers', () => {
        const found = findingsOf(reportOf("R: @c4 v1 d e f g a b c | @c4 h(cc') v4 5 4 5 |\n"), 'fingers');
        expect(titles(found)).toContain('Thumb under');
        expect(named(found, 'Too wide')?.text).toContain('8 keys in the right hand');
        expect(titles(found)).toContain('Fingers 4 and 5 in a row');
    });

    it('gathers bars by what the hands do', () => {
        const found = findingsOf(PAGE, 'hands');
        expect(found.flatMap((one) => one.bars).sort()).toEqual([0, 1, 2, 3, 4, 5, 6]);
        const turns = findingsOf(reportOf('R: @c4 q1 2 h3 | wr\nL: @5=c3 wr | w5\n'), 'hands');
        expect(named(turns, 'The tune goes over')?.bars).toEqual([1, 2]);
    });

    it('says what one bar unlocks, and each thing once', () => {
        const found = findingsOf(PAGE, 'patterns');
        expect(named(found, 'Learn bar 1')).toMatchObject({ text: 'and you have bar 3 too.', pair: [1, 3] });
        expect(titles(found)).not.toContain('The same in both hands');
        expect(named(found, 'Right hand the same')?.bars).toEqual([1, 3, 5]);
    });

    it('puts what sticks most first, with the teacher’s word', () => {
        const found = findingsOf(PAGE, 'trouble');
        expect(found[0]?.thorn).toBe(true);
        for (const finding of found) {
            const bar = finding.bars[0] ?? 0;
            expect(finding.title).toBe(
                bar === PAGE.bars.at(-1)?.measure ? `Bar ${bar}` : `Bar ${bar} into bar ${bar + 1}`,
            );
        }
        const hard = {
            ...PAGE,
            sticking: PAGE.sticking.map((one) => ({ ...one, teacher: 'easy' as const, score: 0, thorn: false })),
        };
        expect(findingsOf(hard, 'trouble')[0]?.text).toContain('You call it easy.');
        const first = PAGE.sticking.find((one) => one.thorn);
        expect(first?.do).toBeTruthy();
        expect(found[0]?.text).toContain(`What helps: ${first?.do}`);
        const serving = { ...PAGE, sticking: PAGE.sticking.map((one) => ({ ...one, serves: [7, 9] })) };
        expect(findingsOf(serving, 'trouble')[0]?.text).toMatch(/Equal, and learnt with it: bars 7 and 9\.$/);
    });

    it('goes through the stages in order, each with its bars', () => {
        const found = findingsOf(PAGE, 'stages');
        expect(found[0]?.title).toBe('1. Look over');
        const right = named(found, '5. Right hand');
        expect(right?.text).toContain('Passes: three in a row');
        expect(right?.bars).toContain(6);
    });
});

describe('from the music to the sentences', () => {
    const findings: Finding[] = [
        { title: 'wide', text: '', events: ['a', 'b', 'c'], bars: [] },
        { title: 'narrow', text: '', events: ['b'], bars: [] },
        { title: 'bar', text: '', events: [], bars: [4] },
    ];

    it('takes the narrowest that speaks of a note first, and its bar where none does', () => {
        expect(findingsAt(findings, 'b', 4)).toEqual([1, 0]);
        expect(findingsAt(findings, 'z', 4)).toEqual([2]);
        expect(findingsAt(findings, null, 5)).toEqual([]);
    });

    it('tells how two bars are alike', () => {
        expect(alike(PAGE, 'right', 1, 3)).toBe('the same');
        expect(alike(PAGE, 'right', 1, 4)).toBe('the same shape, from another note');
        expect(alike(PAGE, 'right', 1, 2)).toBe('the same rhythm, other notes');
        expect(alike(PAGE, 'left', 1, 2)).toBeNull();
    });
});
