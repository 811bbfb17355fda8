// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { dropPast, keepPast, pastOf } from './past';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
    vi.useRealTimers();
    sessionStorage.clear();
});

describe('the undo steps of a visit', () => {
    it('are there after a reload, once the hand has rested', () => {
        keepPast('piece-1', () => ({ done: ['q1'] }));
        expect(pastOf('piece-1')).toBeNull();
        vi.advanceTimersByTime(1_000);
        expect(pastOf('piece-1')).toEqual({ done: ['q1'] });
        expect(pastOf('piece-2')).toBeNull();
    });

    it('are kept at once when the page goes', () => {
        keepPast('piece-1', () => ['all of it']);
        window.dispatchEvent(new Event('pagehide'));
        expect(pastOf('piece-1')).toEqual(['all of it']);
    });

    it('are those of the last letter, however fast they come', () => {
        const asked = vi.fn(() => 'last');
        keepPast('piece-1', () => 'first');
        keepPast('piece-1', asked);
        vi.advanceTimersByTime(1_000);
        expect(pastOf('piece-1')).toBe('last');
        expect(asked).toHaveBeenCalledOnce();
    });

    it('are given up when they are too long for the store, and the typing goes on', () => {
        keepPast('piece-1', () => 'x'.repeat(400_001));
        vi.advanceTimersByTime(1_000);
        expect(pastOf('piece-1')).toBeNull();
    });

    it('are gone when the piece is saved, though a pause was running', () => {
        keepPast('piece-1', () => 'kept');
        vi.advanceTimersByTime(1_000);
        keepPast('piece-1', () => 'on its way');
        dropPast('piece-1');
        vi.advanceTimersByTime(1_000);
        expect(pastOf('piece-1')).toBeNull();
    });

    it('are none where something else was written', () => {
        sessionStorage.setItem('nasturtium.past.piece-1', '{broken');
        expect(pastOf('piece-1')).toBeNull();
    });
});
