import { describe, expect, it } from 'vitest';
import { type Draft, dropDraft, keepDraft, readDraft, startBrought, startFrom } from './draft';

function store() {
    const kept = new Map<string, string>();
    return {
        getItem: (name: string) => kept.get(name) ?? null,
        setItem: (name: string, value: string) => void kept.set(name, value),
        removeItem: (name: string) => void kept.delete(name),
    };
}

const draft: Draft = { text: 'R: c', label: 'A', revision: 3, ahead: true };

describe('what this browser keeps', () => {
    it('comes back by its place, until it is dropped', () => {
        const here = store();
        keepDraft('page 3', draft, here);
        expect(readDraft('page 3', here)).toEqual(draft);
        expect(readDraft('page 4', here)).toBeNull();
        dropDraft('page 3', here);
        expect(readDraft('page 3', here)).toBeNull();
    });

    it('is taken for unsent when it was kept before the server kept any', () => {
        const here = store();
        here.setItem('nasturtium.draft.page 3', JSON.stringify({ text: 'R: c', label: '' }));
        expect(readDraft('page 3', here)).toEqual({ text: 'R: c', label: '', revision: 0, ahead: true });
    });

    it('is nothing when something else wrote there, or nothing may be kept', () => {
        const here = store();
        here.setItem('nasturtium.draft.page 3', '{"text":');
        expect(readDraft('page 3', here)).toBeNull();
        const shut = {
            setItem: () => {
                throw new Error('full');
            },
        };
        expect(() => keepDraft('page 3', draft, shut)).not.toThrow();
    });
});

describe('where a page begins', () => {
    const saved = { text: 'R: w', label: '' };
    const none = { text: '', label: '', revision: 0 };

    it('is what is saved when nothing was typed since', () => {
        expect(startFrom(saved, null, none)).toMatchObject({ text: 'R: w', from: 'saved', other: null });
        expect(startFrom(saved, { ...draft, text: 'R: w', label: '' }, none)).toMatchObject({ from: 'saved' });
    });

    it('is what this browser has and the server has not', () => {
        expect(startFrom(saved, draft, { text: 'R: b', label: 'A', revision: 3 })).toMatchObject({
            text: 'R: c',
            from: 'here',
            other: null,
        });
    });

    it('is what the server kept, from another device too', () => {
        const server = { text: 'R: g', label: 'B', revision: 7 };
        expect(startFrom(saved, { ...draft, ahead: false }, server)).toEqual({
            ...server,
            from: 'server',
            other: null,
        });
        expect(startFrom(saved, null, server)).toMatchObject({ text: 'R: g', revision: 7 });
    });

    it('shows both where two windows went apart', () => {
        const server = { text: 'R: g', label: 'A', revision: 4 };
        expect(startFrom(saved, draft, server)).toMatchObject({ text: 'R: c', from: 'here', other: server });
        expect(startFrom(saved, draft, { ...server, text: 'R: c' })).toMatchObject({ other: null });
    });
});

describe('what another room brings', () => {
    const saved = { text: 'title: ', label: '' };
    const brought = { text: 'title: Hedgerow', label: 'B' };
    const start = (text: string) => ({ text, label: '', revision: 4, from: 'here' as const, other: null });

    it('stands on an empty page, as if it had been typed', () => {
        expect(startBrought(saved, start('title: '), brought)).toEqual({
            ...brought,
            revision: 4,
            from: 'brought',
            other: null,
        });
    });

    it('is asked about where something else was typed and not saved', () => {
        expect(startBrought(saved, start('title: Mine'), brought).other).toEqual({
            text: 'title: Mine',
            label: '',
            revision: 4,
        });
    });

    it('is not asked about twice', () => {
        expect(startBrought(saved, start(brought.text), brought).other).toBeNull();
    });
});
