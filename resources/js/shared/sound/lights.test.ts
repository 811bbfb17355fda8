import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schedule } from './beats';
import { show } from './lights';

const plan: Schedule = {
    ticks: [],
    strikes: [
        { id: 'R1-1', hand: 'R', at: 0, keys: [60], seconds: [1] },
        { id: 'L1-1', hand: 'L', at: 1, keys: [48], seconds: [1] },
    ],
    start: 0,
    end: 2,
};

let time = 0;
let said: string[] = [];
const listener = {
    lit: (notes: ReadonlyMap<string, string>) => said.push([...notes.keys()].join(' ') || 'dark'),
    ended: () => said.push('ended'),
};
const pass = (to: number) => {
    time = to;
    vi.advanceTimersByTime(50);
};

beforeEach(() => {
    vi.useFakeTimers();
    [time, said] = [0, []];
});
afterEach(() => void vi.useRealTimers());

describe('the lights', () => {
    it('follow the clock they are given, each change told once, and go out at the end', () => {
        const over = vi.fn();
        show(plan, listener, false, () => time, over);
        for (const at of [0.1, 0.5, 1.2, 1.5, 2.1, 3]) pass(at);
        expect(said).toEqual(['R1-1', 'L1-1', 'dark', 'ended']);
        expect(over).toHaveBeenCalledOnce();
    });

    it('go round, and go out once when they are stopped', () => {
        const stop = show(plan, listener, true, () => time);
        for (const at of [0.1, 1.2, 2.1, 3.2]) pass(at);
        stop();
        stop();
        pass(4.1);
        expect(said).toEqual(['R1-1', 'L1-1', 'R1-1', 'L1-1', 'dark']);
    });
});
