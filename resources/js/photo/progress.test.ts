import { expect, it } from 'vitest';
import { isGoingOn, progressOf } from './progress';

it('grows from step to step, and says what is done', () => {
    const at = (step: string, done = 0, of = 1) => progressOf({ state: 'reading', step, done, of });
    const shares = [
        progressOf({ state: 'waiting', step: '', done: 0, of: 1 }),
        at('opening'),
        at('staves'),
        at('staves', 5, 10),
        at('lines', 0, 4),
        at('lines', 3, 4),
        at('words'),
    ].map(({ share }) => share);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(new Set(shares).size).toBe(shares.length);
    expect(at('lines').says).toBe('Reading the notes…');
    expect(progressOf({ state: 'waiting', step: 'lines', done: 1, of: 1 }).says).toBe('Waiting its turn…');
});

it('never passes what its step is of', () => {
    expect(progressOf({ state: 'reading', step: 'lines', done: 9, of: 4 }).share).toBe(90);
    expect(progressOf({ state: 'reading', step: 'lines', done: 0, of: 0 }).share).toBe(55);
});

it('is over once it is read or refused', () => {
    const states = ['awaited', 'waiting', 'reading', 'read', 'refused'] as const;
    expect(states.filter((state) => isGoingOn({ state, step: '', done: 0, of: 1 }))).toEqual(['waiting', 'reading']);
});
