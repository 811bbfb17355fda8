import { describe, expect, it } from 'vitest';
import type { Playback } from '../api';
import { schedule } from './beats';

const sounds: Playback['sounds'] = [
    { id: 'R1-1', hand: 'R', at: 0, beats: 1, keys: [60] },
    { id: 'L1-1', hand: 'L', at: 0, beats: 2, keys: [48] },
    { id: 'R1-2', hand: 'R', at: 1, beats: 1, keys: [62] },
];
const tune: Playback = { counts: ['1', '2'], enter: '1', accent: 2, enters: 0, beats: 2, sounds };

describe('what is heard and when', () => {
    it('counts in, then plays, at the tempo', () => {
        const plan = schedule(tune, { tempo: 60, hands: 'both', countIn: true, metronome: false });
        expect(plan.ticks).toEqual([
            { at: 0, accent: true },
            { at: 1, accent: false },
        ]);
        expect(plan.strikes.map((strike) => strike.at)).toEqual([2, 2, 3]);
        expect(plan.end).toBe(4);
    });

    it('plays one hand alone, twice as fast at twice the tempo', () => {
        const plan = schedule(tune, { tempo: 120, hands: 'R', countIn: false, metronome: false });
        expect(plan.strikes.map((strike) => [strike.id, strike.at, strike.seconds])).toEqual([
            ['R1-1', 0, 0.5],
            ['R1-2', 0.5, 0.5],
        ]);
    });

    it('accents the first beat of each bar', () => {
        const three = { ...tune, accent: 3, beats: 6, counts: [] };
        const plan = schedule(three, { tempo: 60, hands: 'both', countIn: false, metronome: true });
        expect(plan.ticks.map((tick) => tick.accent)).toEqual([true, false, false, true, false, false]);
    });

    it('enters on the pickup, with the accent on the bar after it', () => {
        const pickup = { ...tune, accent: 4, enters: 3, counts: ['1', '2', '3'], beats: 5 };
        const plan = schedule(pickup, { tempo: 60, hands: 'both', countIn: true, metronome: true });
        expect(plan.start).toBe(3);
        expect(plan.ticks.filter((tick) => tick.accent).map((tick) => tick.at)).toEqual([0, 4]);
    });

    it('leaves half a beat before an entry on the and', () => {
        const half = { ...tune, accent: 4, enters: 3.5, counts: ['1', '2', '3', '4'], beats: 0.5 };
        expect(schedule(half, { tempo: 60, hands: 'both', countIn: true, metronome: false }).start).toBe(3.5);
    });
});
