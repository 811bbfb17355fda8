import { describe, expect, it } from 'vitest';
import { dropDraft, keepDraft, offsetOf, readDraft } from './draft';

function store() {
    const kept = new Map<string, string>();
    return {
        getItem: (name: string) => kept.get(name) ?? null,
        setItem: (name: string, value: string) => void kept.set(name, value),
        removeItem: (name: string) => void kept.delete(name),
    };
}

describe('a draft', () => {
    it('is kept for its place until it is dropped', () => {
        const browser = store();
        keepDraft('page 3', { text: 'R: @c4 w1', label: 'A' }, browser);
        expect(readDraft('page 3', browser)).toEqual({ text: 'R: @c4 w1', label: 'A' });
        expect(readDraft('page 4', browser)).toBeNull();
        dropDraft('page 3', browser);
        expect(readDraft('page 3', browser)).toBeNull();
    });

    it('is nothing when something else stands there', () => {
        expect(readDraft('x', { getItem: () => '{broken' })).toBeNull();
        expect(readDraft('x', { getItem: () => '"text"' })).toBeNull();
    });

    it('is not lost on the screen when the browser refuses to keep it', () => {
        const refuse = {
            setItem: () => {
                throw new Error('full');
            },
        };
        expect(() => keepDraft('x', { text: 'R', label: '' }, refuse)).not.toThrow();
    });
});

describe('the place of an error', () => {
    it('is found by line and column', () => {
        expect(offsetOf('ab\ncde\nf', 2, 2)).toBe(4);
        expect(offsetOf('ab', 9, 9)).toBe(2);
    });
});
