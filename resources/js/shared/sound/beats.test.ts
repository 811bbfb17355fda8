import { describe, expect, it } from 'vitest';
import type { Playback } from '../../api';
import { beatAt, between, schedule, soundingAt } from './beats';

const sounds: Playback['sounds'] = [
    { id: 'R1-1', hand: 'R', at: 0, keys: [60], held: [1] },
    { id: 'L1-1', hand: 'L', at: 0, keys: [48], held: [2] },
    { id: 'R1-2', hand: 'R', at: 1, keys: [62, 65], held: [1, 3] },
];
const clicks = [
    { at: 0, accent: true },
    { at: 1, accent: false },
];
const tune: Playback = {
    counts: ['1', '2'],
    enter: '1',
    countBeats: 1,
    countGap: 1,
    beats: 2,
    sounds,
    clicks,
    bars: [],
};
const plain = { tempo: 60, hands: 'both', countIn: true, metronome: false } as const;

describe('what is heard and when', () => {
    it('counts in, then plays, at the tempo', () => {
        const plan = schedule(tune, plain);
        expect(plan.ticks).toEqual([
            { at: 0, accent: true },
            { at: 1, accent: false },
        ]);
        expect(plan.strikes.map((strike) => strike.at)).toEqual([2, 2, 3]);
        expect(plan.end).toBe(4);
    });

    it('plays one hand alone, twice as fast at twice the tempo, each key as long as it is held', () => {
        const plan = schedule(tune, { tempo: 120, hands: 'R', countIn: false, metronome: false });
        expect(plan.strikes.map((strike) => [strike.id, strike.at, strike.seconds])).toEqual([
            ['R1-1', 0, [0.5]],
            ['R1-2', 0.5, [0.5, 1.5]],
        ]);
    });

    it('clicks where the core counts, after the count-in', () => {
        const plan = schedule(tune, { ...plain, metronome: true });
        expect(plan.ticks.map((tick) => [tick.at, tick.accent])).toEqual([
            [0, true],
            [1, false],
            [2, true],
            [3, false],
        ]);
    });

    it('leaves part of a count before an entry between two', () => {
        const half = { ...tune, counts: ['1', '2', '3', '4'], countGap: 0.5 };
        expect(schedule(half, plain).start).toBe(3.5);
    });

    it('counts shorter beats where the bar has them', () => {
        const eighths = { ...tune, counts: ['1', '2', '3'], countBeats: 0.5, countGap: 0.5 };
        expect(schedule(eighths, plain).start).toBe(1.5);
    });
});

describe('what is given ahead', () => {
    const plan = schedule(tune, plain);
    const names = (loop: boolean, from: number, to: number) =>
        between(plan, loop, from, to).strikes.map((strike) => `${strike.id} ${strike.at}`);

    it('gives each note once, whatever the stretches are', () => {
        const all = [0, 0.7, 2, 2.5, 3, 9].flatMap((from, i, cuts) => names(false, from, cuts[i + 1] ?? 20));
        expect(all).toEqual(['R1-1 2', 'L1-1 2', 'R1-2 3']);
    });

    it('goes round without the count-in', () => {
        expect(names(true, 4, 8)).toEqual(['R1-1 4', 'L1-1 4', 'R1-2 5', 'R1-1 6', 'L1-1 6', 'R1-2 7']);
        expect(between(plan, true, 4, 8).ticks).toEqual([]);
        expect(names(true, 0, 4)).toEqual(['R1-1 2', 'L1-1 2', 'R1-2 3']);
    });

    it('does not go round a piece without length', () => {
        const nothing = { ticks: [], strikes: [], start: 2, end: 2 };
        expect(between(nothing, true, 0, 100)).toEqual({ ticks: [], strikes: [] });
    });
});

describe('the beat that is seen', () => {
    const ticks = [
        { at: 0, accent: true },
        { at: 1, accent: false },
        { at: 2, accent: true },
        { at: 3, accent: false },
    ];
    const plan = { ticks, strikes: [], start: 2, end: 4 };

    it('is the one that was struck last', () => {
        expect(beatAt(plan, false, -0.1)).toBeNull();
        expect(beatAt(plan, false, 0)).toEqual({ nth: 0, accent: true });
        expect(beatAt(plan, false, 0.999)).toEqual({ nth: 0, accent: true });
        expect(beatAt(plan, false, 1)).toEqual({ nth: 1, accent: false });
    });

    it('goes round without the count-in', () => {
        expect(beatAt(plan, true, 4)).toEqual({ nth: 2, accent: true });
        expect(beatAt(plan, true, 7.5)).toEqual({ nth: 3, accent: false });
        expect(beatAt(plan, false, 7.5)).toEqual({ nth: 3, accent: false });
    });
});

describe('what is lit', () => {
    const plan = schedule(tune, plain);
    it('lights what sounds, in the colour of its hand', () => {
        expect([...soundingAt(plan, false, 1)]).toEqual([]);
        expect([...soundingAt(plan, false, 2.5)]).toEqual([
            ['R1-1', 'yes'],
            ['L1-1', 'left'],
        ]);
        expect([...soundingAt(plan, false, 3.2).keys()]).toEqual(['L1-1', 'R1-2']);
    });

    it('lights the same in each round', () => {
        expect([...soundingAt(plan, true, 6.5).keys()]).toEqual([...soundingAt(plan, true, 2.5).keys()]);
    });
});
