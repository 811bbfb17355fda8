import { describe, expect, it } from 'vitest';
import { forgetTold, keepTold, toldFor } from './toldLater';

function store(): Pick<Storage, 'getItem' | 'setItem'> {
    const kept = new Map<string, string>();
    return { getItem: (name) => kept.get(name) ?? null, setItem: (name, value) => void kept.set(name, value) };
}

const told = (taskId: number, well = 'Every note was right.') => ({
    taskId,
    at: '2031-05-06T15:00:00Z',
    heard: { well, thing: null },
});

describe('what was heard in a take that had waited', () => {
    it('is there until it was read, the newest of a task, for its own link alone', () => {
        const own = store();
        keepTold('a'.repeat(40), told(5), own);
        keepTold('a'.repeat(40), told(5, 'Your beat was steady.'), own);
        keepTold('a'.repeat(40), told(6), own);
        expect(toldFor('a'.repeat(40), 5, own)?.heard.well).toBe('Your beat was steady.');
        expect(toldFor('b'.repeat(40), 5, own)).toBeNull();
        forgetTold('a'.repeat(40), 5, own);
        expect(toldFor('a'.repeat(40), 5, own)).toBeNull();
        expect(toldFor('a'.repeat(40), 6, own)).not.toBeNull();
    });

    it('of many tasks is that of the newest; what nobody can read is nothing', () => {
        const own = store();
        for (let task = 1; task <= 25; task++) keepTold('token', told(task), own);
        expect(toldFor('token', 5, own)).toBeNull();
        expect(toldFor('token', 6, own)).not.toBeNull();
        own.setItem('nasturtium.told.token', '{');
        expect(toldFor('token', 6, own)).toBeNull();
    });
});
