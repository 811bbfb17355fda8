import { afterEach, describe, expect, it, vi } from 'vitest';

afterEach(() => vi.useRealTimers());

describe('what this page sounds itself', () => {
    it('is heard a little longer than it lasts, and a shorter sound does not end a longer one', async () => {
        vi.useFakeTimers({ toFake: ['performance'] });
        const { isSounding, soundsFor } = await import('./own');
        expect(isSounding()).toBe(false);
        soundsFor(1_000);
        soundsFor(100);
        vi.advanceTimersByTime(1_200);
        expect(isSounding()).toBe(true);
        vi.advanceTimersByTime(60);
        expect(isSounding()).toBe(false);
    });
});
