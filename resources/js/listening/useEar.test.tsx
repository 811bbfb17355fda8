// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { soundsFor } from '../shared/sound/own';
import type { Now } from './microphone';
import { useEar } from './useEar';

const microphone = vi.hoisted(() => ({ open: vi.fn() }));
vi.mock('./microphone', async (original) => ({ ...(await original()), openMicrophone: microphone.open }));

const close = vi.fn();
let tell: (now: Now) => void = () => undefined;
let lost: () => void = () => undefined;

beforeEach(() => {
    vi.useFakeTimers({ toFake: ['performance', 'setTimeout'] });
    close.mockReset();
    microphone.open.mockReset().mockImplementation(async (told: typeof tell, gone: typeof lost) => {
        [tell, lost] = [told, gone];
        return { rate: 22_050, samples: () => new Float32Array(), forget: () => undefined, close };
    });
});
afterEach(() => void vi.useRealTimers());

/** A key that is struck out of a quiet room, as it is heard moment by moment. */
function strike(key: number): void {
    for (const [level, of] of [
        [0.01, null],
        [0.4, key],
        [0.35, key],
        [0.3, key],
    ] as const) {
        act(() => tell({ level, key: of, noisy: false, silent: level < 0.02 ? 1 : 0 }));
        vi.advanceTimersByTime(50);
    }
}

describe('answers by a piano in the room', () => {
    it('are its keys, but not what the page itself sounds', async () => {
        const onKey = vi.fn();
        const { result } = renderHook(() => useEar(onKey));
        await act(() => result.current.toggle() as Promise<void>);
        expect(result.current.isOn).toBe(true);
        strike(60);
        expect(onKey.mock.calls.map(([key]) => key)).toEqual([60]);
        soundsFor(1_000);
        strike(64);
        expect(onKey).toHaveBeenCalledOnce();
        vi.advanceTimersByTime(1_400);
        strike(67);
        expect(onKey.mock.calls.map(([key]) => key)).toEqual([60, 67]);
        act(() => void result.current.toggle());
        expect(close).toHaveBeenCalled();
        expect(result.current.isOn).toBe(false);
    });

    it('end when the microphone goes away, or is refused', async () => {
        const { result } = renderHook(() => useEar(vi.fn()));
        await act(() => result.current.toggle() as Promise<void>);
        act(() => lost());
        expect(result.current).toMatchObject({ isOn: false, trouble: 'lost' });
        microphone.open.mockRejectedValueOnce(new DOMException('', 'NotAllowedError'));
        await act(() => result.current.toggle() as Promise<void>);
        expect(result.current).toMatchObject({ isOn: false, trouble: 'refused' });
    });
});
