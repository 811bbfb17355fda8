import { describe, expect, it } from 'vitest';
import held from '../../../tests/Datasets/practice-room.json';
import { SessionRun } from './run';
import { judge } from './taps';

describe('the browser does what the core does', () => {
    it.each(held.sessions.map((one, i) => [i + 1, one] as const))('in session %i', (_, { session, steps }) => {
        const run = new SessionRun(session);
        const asked: (string | null)[] = [];
        steps.forEach(([, right, milliseconds], i) => {
            const card = run.next(i >= 50);
            asked.push(card);
            if (card !== null) run.answer(card, { right: right as boolean, milliseconds: milliseconds as number });
        });
        expect(asked).toEqual(steps.map(([card]) => card));
    });

    it.each(held.taps.map((one, i) => [i + 1, one] as const))(
        'with rhythm %i',
        (_, { beat, at, taps, result, off }) => {
            expect(judge({ beat, at }, taps)).toEqual({ result, off });
        },
    );
});

describe('a session that is run', () => {
    const session = {
        seconds: 60,
        learning: ['a', 'b'],
        joining: ['c'],
        known: ['k'],
        share: 0,
        before: [],
        pairs: [],
        returns: [2, 5, 12],
        closing: 3,
        enough: { answers: 3, right: 90, within: 3_000, join: 5 },
    };

    it('says what became secure and what was met', () => {
        const run = new SessionRun(session);
        for (let i = 0; i < 3; i++) run.answer('a', { right: true, milliseconds: 900 });
        expect(run.gained).toEqual(['a']);
        expect(run.met).toEqual(['a']);
    });

    it('goes on where nobody answered, as if the card had not been asked', () => {
        const run = new SessionRun(session);
        expect(run.next()).toBe('a');
        run.skip('a');
        expect(run.next()).toBe('b');
        expect(run.met).toEqual([]);
    });
});
