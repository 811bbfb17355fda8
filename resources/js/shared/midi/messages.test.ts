import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Gatherer, readMessage, TOGETHER } from './messages';
import { StandIn, TAKES } from './standIn';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('what a keyboard sends', () => {
    it('is a key that goes down or up, on any channel', () => {
        expect(readMessage([0x90, 60, 80])).toEqual({ key: 60, down: true });
        expect(readMessage([0x95, 72, 1])).toEqual({ key: 72, down: true });
        expect(readMessage([0x80, 60, 0])).toEqual({ key: 60, down: false });
        expect(readMessage([0x90, 60, 0])).toEqual({ key: 60, down: false });
    });

    it('is nothing to us when it is a pedal, a clock or broken off', () => {
        for (const bytes of [[0xb0, 64, 127], [0xf8], [0xe0, 0, 64], []]) expect(readMessage(bytes)).toBeNull();
    });
});

describe('keys that go down together', () => {
    it('are one chord, lowest first', () => {
        const chords: number[][] = [];
        const gatherer = new Gatherer((keys) => chords.push(keys));
        gatherer.take({ key: 64, down: true });
        vi.advanceTimersByTime(TOGETHER - 10);
        gatherer.take({ key: 60, down: true });
        gatherer.take({ key: 60, down: true });
        gatherer.take({ key: 64, down: false });
        vi.advanceTimersByTime(20);
        gatherer.take({ key: 67, down: true });
        vi.advanceTimersByTime(TOGETHER);
        expect(chords).toEqual([[60, 64], [67]]);
    });

    it('are forgotten when nobody listens any more', () => {
        const chords: number[][] = [];
        const gatherer = new Gatherer((keys) => chords.push(keys));
        gatherer.take({ key: 64, down: true });
        gatherer.stop();
        vi.advanceTimersByTime(500);
        expect(chords).toEqual([]);
    });
});

describe('the stand-in', () => {
    it('sends a recorded take as a keyboard would, in time', () => {
        const device = new StandIn();
        const heard: string[] = [];
        const stop = device.listen((bytes) => heard.push(Array.from(bytes).join(' ')));
        device.play(TAKES[0] ?? { name: '', strikes: [] });
        vi.advanceTimersByTime(1);
        expect(heard).toEqual(['144 60 80']);
        vi.advanceTimersByTime(10_000);
        expect(heard.length).toBe(2 * (TAKES[0]?.strikes.flatMap((strike) => strike.keys).length ?? 0));
        stop();
        device.play(TAKES[0] ?? { name: '', strikes: [] });
        vi.advanceTimersByTime(10_000);
        expect(heard.filter((message) => message === '144 60 80')).toHaveLength(1);
    });
});
