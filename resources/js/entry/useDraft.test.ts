// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type Asked, serve } from '../../../tests/screen';
import { readDraft, type Start } from './draft';
import { useDraft } from './useDraft';

const DESK = { piece: 1 };

const SAVED: Start = { text: 'R: q1', label: '', revision: 0, from: 'saved', other: null };

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
    vi.useRealTimers();
    localStorage.clear();
});

function desk(start: Start = SAVED) {
    const { result, unmount } = renderHook(() => useDraft('piece-1', DESK, start));
    return {
        state: () => result.current.state,
        other: () => result.current.other,
        type: (text: string) => act(() => result.current.keep({ text, label: '' })),
        settle: (mine: boolean) => act(() => void result.current.settle(mine)),
        end: () => act(() => result.current.end()),
        wait: (ms = 800) => act(() => vi.advanceTimersByTimeAsync(ms)),
        unmount,
    };
}

/** A server that counts revisions, and refuses one that is not the newest. */
function server(newest = 0): { asked: Asked[]; elsewhere: (text: string) => void } {
    let draft = { text: '', label: '', revision: newest };
    const asked = serve({
        'PUT /pieces/1/draft': (body) => {
            const given = body as { text: string; label: string; revision: number };
            if (given.revision !== draft.revision) return Response.json(draft, { status: 409 });
            draft = { text: given.text, label: given.label, revision: draft.revision + 1 };
            return draft;
        },
    });
    const elsewhere = (text: string) => {
        draft = { text, label: '', revision: draft.revision + 1 };
    };
    return { asked, elsewhere };
}

describe('what is typed', () => {
    it('is in the browser at once, and on the server after a pause', async () => {
        const { asked } = server();
        const entry = desk();
        entry.type('R: q1 2');
        expect(readDraft('piece-1')).toEqual({ text: 'R: q1 2', label: '', revision: 0, ahead: true });
        expect(entry.state()).toBe('here');
        expect(asked).toHaveLength(0);
        await entry.wait();
        expect(entry.state()).toBe('kept');
        expect(asked.map((one) => one.body)).toEqual([{ text: 'R: q1 2', label: '', revision: 0 }]);
        expect(readDraft('piece-1')).toMatchObject({ revision: 1, ahead: false });
    });

    it('is sent once for many letters, and with the revision of the time before', async () => {
        const { asked } = server();
        const entry = desk();
        for (const text of ['R: q', 'R: q1', 'R: q12']) entry.type(text);
        await entry.wait();
        entry.type('R: q123');
        await entry.wait();
        expect(asked.map((one) => one.body)).toEqual([
            { text: 'R: q12', label: '', revision: 0 },
            { text: 'R: q123', label: '', revision: 1 },
        ]);
    });

    it('stays on this device without a connection, and goes when there is one', async () => {
        vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
        const entry = desk();
        entry.type('R: q1 2');
        await entry.wait();
        expect(entry.state()).toBe('here');
        const { asked } = server();
        window.dispatchEvent(new Event('online'));
        await entry.wait();
        expect(entry.state()).toBe('kept');
        expect(asked).toHaveLength(1);
    });

    it('goes when the screen is left before the pause is over', async () => {
        const { asked } = server();
        const entry = desk();
        entry.type('R: q1 2');
        entry.unmount();
        await vi.advanceTimersByTimeAsync(0);
        expect(asked).toHaveLength(1);
    });

    it('that was only here is sent at the start of the next visit', async () => {
        const { asked } = server();
        const entry = desk({ ...SAVED, text: 'R: q1 2', from: 'here' });
        await entry.wait();
        expect(asked[0]?.body).toMatchObject({ text: 'R: q1 2' });
        expect(entry.state()).toBe('kept');
    });

    it('is no draft any more once the piece is saved', async () => {
        const { asked } = server();
        const entry = desk();
        entry.type('R: q1 2');
        await entry.end();
        await entry.wait();
        expect(asked).toHaveLength(0);
        expect(readDraft('piece-1')).toBeNull();
    });
});

describe('two windows', () => {
    it('stand apart when the other one kept something in between, and nothing more is sent', async () => {
        const { asked, elsewhere } = server();
        const entry = desk();
        elsewhere('R: q5');
        entry.type('R: q1 2');
        await entry.wait();
        expect(entry.state()).toBe('apart');
        expect(entry.other()).toMatchObject({ text: 'R: q5', revision: 1 });
        entry.type('R: q1 2 3');
        await entry.wait();
        expect(asked).toHaveLength(1);
        expect(readDraft('piece-1')?.text).toBe('R: q1 2 3');
    });

    it('are settled for what is here', async () => {
        const { asked, elsewhere } = server();
        const entry = desk();
        elsewhere('R: q5');
        entry.type('R: q1 2');
        await entry.wait();
        entry.settle(true);
        await entry.wait();
        expect(asked.at(-1)?.body).toEqual({ text: 'R: q1 2', label: '', revision: 1 });
        expect(entry.other()).toBeNull();
        expect(entry.state()).toBe('kept');
    });

    it('are settled for what is there', async () => {
        const { asked, elsewhere } = server();
        const entry = desk();
        elsewhere('R: q5');
        entry.type('R: q1 2');
        await entry.wait();
        entry.settle(false);
        await entry.wait();
        expect(asked.at(-1)?.body).toMatchObject({ text: 'R: q5', revision: 1 });
        expect(readDraft('piece-1')?.text).toBe('R: q5');
    });
});
