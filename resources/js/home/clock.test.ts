import { describe, expect, it } from 'vitest';
import { dateNow } from './clock';

const HOUR = 3_600_000;

describe('today at home', () => {
    const week = { now: '2031-05-06T21:30:00+00:00', timezone: 'Europe/Berlin' };

    it('is the student’s, whatever this device believes', () => {
        const wrong = Date.parse('1999-01-01T00:00:00Z');
        expect(dateNow({ week, at: wrong }, wrong)).toBe('2031-05-06');
        // An hour later it is past midnight in Berlin.
        expect(dateNow({ week, at: wrong }, wrong + HOUR)).toBe('2031-05-07');
        expect(dateNow({ week: { ...week, timezone: 'America/New_York' }, at: wrong }, wrong + HOUR)).toBe(
            '2031-05-06',
        );
    });

    it('does not go back when the clock of the device is set back', () => {
        expect(dateNow({ week, at: 5 * HOUR }, 0)).toBe('2031-05-06');
    });
});
