import { afterEach, describe, expect, it } from 'vitest';
import {
    barsWords,
    dateOf,
    dayFrom,
    dayName,
    handWords,
    listed,
    longDate,
    minutes,
    shortDate,
    timeOf,
    weekdayOf,
} from './words';

describe('dates in the teacher’s words', () => {
    it('knows the weekday of a date, Monday first', () => {
        expect(weekdayOf('2031-05-05')).toBe(1);
        expect(weekdayOf('2031-05-11')).toBe(7);
        expect(weekdayOf('2032-02-29')).toBe(7);
    });

    it('says days and dates', () => {
        expect(dayName(1)).toBe('Monday');
        expect(dayName(7)).toBe('Sunday');
        expect(shortDate('2031-12-01')).toBe('1 Dec');
        expect(longDate('2031-05-05')).toBe('Monday 5 May');
    });
});

describe('a moment', () => {
    const zone = process.env.TZ;
    afterEach(() => {
        process.env.TZ = zone;
    });

    it.each([
        ['America/New_York', '2031-05-05', '22:30'],
        ['UTC', '2031-05-06', '02:30'],
        ['Pacific/Auckland', '2031-05-06', '14:30'],
    ])('has the date and the time of %s there', (where, date, time) => {
        process.env.TZ = where;
        expect([dateOf('2031-05-06T02:30:00Z'), timeOf('2031-05-06T02:30:00Z')]).toEqual([date, time]);
    });
});

describe('minutes', () => {
    it.each([
        [15, '15 min'],
        [2.5, '2½ min'],
        [0.5, '½ min'],
        [0, '0 min'],
        [1, '1 min'],
    ])('%s is %s', (count, words) => {
        expect(minutes(count)).toBe(words);
    });
});

describe('bars and hands', () => {
    it('gathers bars under one word', () => {
        expect(barsWords([])).toBe('');
        expect(barsWords([{ label: 'bar 3' }])).toBe('bar 3');
        expect(barsWords([{ label: 'bars 1–4' }])).toBe('bars 1–4');
        expect(barsWords([{ label: 'bars 1–4' }, { label: 'bar 8' }])).toBe('bars 1–4, 8');
    });

    it('names the hands', () => {
        expect(handWords('R')).toBe('right hand');
        expect(handWords('L')).toBe('left hand');
        expect(handWords(null)).toBe('both hands');
    });

    it('puts words in a list', () => {
        expect(listed([])).toBe('');
        expect(listed(['E'])).toBe('E');
        expect(listed(['C', 'D', 'E'])).toBe('C, D and E');
    });

    it('reckon with days, over the ends of months and years', () => {
        expect([dayFrom('2031-05-01', -1), dayFrom('2031-05-31', 1), dayFrom('2030-12-27', 7)]).toEqual([
            '2031-04-30',
            '2031-06-01',
            '2031-01-03',
        ]);
    });
});
