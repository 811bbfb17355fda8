// @vitest-environment jsdom
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { useMidi } from './devices';

/** A keyboard that can be plugged in, played and pulled out. */
function keyboards() {
    const inputs = new Map<string, EventTarget & { id: string; name: string }>();
    const access = { inputs, onstatechange: null as (() => void) | null };
    Object.defineProperty(navigator, 'requestMIDIAccess', { configurable: true, value: async () => access });
    const plug = (id: string) => {
        inputs.set(id, Object.assign(new EventTarget(), { id, name: `Piano ${id}` }));
        act(() => access.onstatechange?.());
    };
    const pull = (id: string) => {
        inputs.delete(id);
        act(() => access.onstatechange?.());
    };
    const strike = (id: string, key: number) =>
        act(() => {
            inputs
                .get(id)
                ?.dispatchEvent(Object.assign(new Event('midimessage'), { data: Uint8Array.of(0x90, key, 80) }));
        });
    return { plug, pull, strike };
}

afterEach(() => Reflect.deleteProperty(navigator, 'requestMIDIAccess'));

describe('MIDI keyboards', () => {
    it('are chosen when they are plugged in, and said to be gone when they are pulled out in the middle', async () => {
        const { plug, pull, strike } = keyboards();
        const onKey = vi.fn();
        const { result } = renderHook(() => useMidi({ onKey }));
        await act(() => result.current.look());
        expect(result.current.trouble).toMatch(/^No MIDI keyboard is connected/);
        plug('one');
        await waitFor(() => expect(result.current.chosen).toBe('one'));
        expect(result.current.trouble).toBeNull();
        strike('one', 60);
        expect(onKey).toHaveBeenCalledOnce();
        pull('one');
        expect(result.current.chosen).toBeNull();
        expect(result.current.trouble).toMatch(/^The keyboard was unplugged/);
        plug('one');
        await waitFor(() => expect(result.current.chosen).toBe('one'));
        expect(result.current.trouble).toBeNull();
    });

    it('leave the stand-in as it is when another is pulled out', async () => {
        const { plug, pull } = keyboards();
        const { result } = renderHook(() => useMidi({}));
        await act(() => result.current.look());
        plug('one');
        act(() => result.current.choose(result.current.standIn.id));
        pull('one');
        expect(result.current.chosen).toBe(result.current.standIn.id);
    });

    it('cannot be heard by every browser, or where it is refused', async () => {
        const { result } = renderHook(() => useMidi({}));
        await act(() => result.current.look());
        expect(result.current.trouble).toMatch(/^This browser cannot hear MIDI keyboards/);
        Object.defineProperty(navigator, 'requestMIDIAccess', {
            configurable: true,
            value: () => Promise.reject(new DOMException('', 'NotAllowedError')),
        });
        await act(() => result.current.look());
        expect(result.current.trouble).toMatch(/^The browser was told not to listen/);
    });
});
