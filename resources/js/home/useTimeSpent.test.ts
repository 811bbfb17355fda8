import { describe, expect, it } from 'vitest';
import { TimeSpent } from './useTimeSpent';

const at = (minutes: number) => minutes * 60_000;

describe('how long a task takes', () => {
    it('counts from opening to ticking', () => {
        const spent = new TimeSpent(180, 1000);
        spent.touch(61_000);
        expect(spent.seconds(91_000)).toBe(90);
    });

    it('leaves out a pause of more than three minutes, and counts one of just three', () => {
        const spent = new TimeSpent(180, 0);
        spent.touch(at(1));
        spent.touch(at(5));
        expect(spent.seconds(at(8))).toBe(240);
    });

    it('leaves out the time while it was hidden', () => {
        const spent = new TimeSpent(180, 0);
        spent.hide(at(1));
        spent.touch(at(2));
        expect(spent.seconds(at(2.5))).toBe(90);
    });
});
