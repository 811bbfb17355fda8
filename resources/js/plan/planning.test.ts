import { describe, expect, it } from 'vitest';
import type { Week } from '../api';
import { add, change, lock, move, movedBetween, movedWords, type PlannedTask, remove } from './planning';

const task = (id: number, dates: string[]): PlannedTask => ({
    id,
    kind: 'stage',
    title: 'Right hand',
    instruction: '',
    learningId: 1,
    hand: 'R',
    first: 0,
    last: 3,
    repetitions: 3,
    tempo: 60,
    minutes: 2,
    starred: false,
    mostDays: 3,
    dates,
    locked: [],
    off: [],
});

const week = [task(1, ['2031-05-06']), task(2, [])];

describe('changing a week', () => {
    it('moves a task from a day to another, in order', () => {
        expect(move(1, '2031-05-06', '2031-05-05')(week)[0]?.dates).toEqual(['2031-05-05']);
        expect(move(1, null, '2031-05-05')(week)[0]?.dates).toEqual(['2031-05-05', '2031-05-06']);
    });

    it('keeps it where it was put, and off the day it came from', () => {
        const moved = move(1, '2031-05-06', '2031-05-05')(week)[0];
        expect(moved).toMatchObject({ locked: ['2031-05-05'], off: ['2031-05-06'] });
        const back = move(1, '2031-05-05', '2031-05-06')([moved as PlannedTask])[0];
        expect(back).toMatchObject({ locked: ['2031-05-06'], off: ['2031-05-05'] });
        expect(move(1, '2031-05-06', null)(week)[0]).toMatchObject({ locked: [], off: ['2031-05-06'] });
    });

    it('locks a card and lets it go', () => {
        const kept = lock(1, '2031-05-06')(week);
        expect(kept[0]?.locked).toEqual(['2031-05-06']);
        expect(lock(1, '2031-05-06')(kept)[0]?.locked).toEqual([]);
    });

    it('takes a task off its day, and never puts it twice on one', () => {
        expect(move(1, '2031-05-06', null)(week)[0]?.dates).toEqual([]);
        expect(move(1, null, '2031-05-06')(week)[0]?.dates).toEqual(['2031-05-06']);
    });

    it('lets the time be reckoned when repetitions or tempo change', () => {
        expect(change(1, { repetitions: 5 })(week)[0]).toMatchObject({ repetitions: 5, minutes: null });
        expect(change(1, { tempo: 66, minutes: 4 })(week)[0]).toMatchObject({ tempo: 66, minutes: 4 });
        expect(change(1, { starred: true })(week)[0]?.minutes).toBe(2);
    });

    it('removes and adds, and leaves the week it was given as it was', () => {
        expect(remove(1)(week).map((one) => one.id)).toEqual([2]);
        expect(add(task(3, []))(week)).toHaveLength(3);
        expect(week).toHaveLength(2);
    });
});

describe('what a plan has moved', () => {
    const of = (...tasks: [number, string, string[]][]) =>
        ({ tasks: tasks.map(([id, title, dates]) => ({ id, title, dates })) }) as unknown as Week;

    it('is told by task and weekday, what was added is not', () => {
        const before = of(
            [1, 'Right hand', ['2031-05-06']],
            [2, 'Theory', ['2031-05-07']],
            [3, 'Echo', []],
            [4, 'Tap', ['2031-05-06']],
        );
        const after = of(
            [1, 'Right hand', ['2031-05-08']],
            [2, 'Theory', []],
            [3, 'Echo', ['2031-05-05']],
            [4, 'Tap', ['2031-05-06']],
            [5, 'New', ['2031-05-06']],
        );
        expect(movedBetween(before, after).map(movedWords)).toEqual([
            'Right hand: Tuesday to Thursday',
            'Theory: off Wednesday',
            'Echo: also Monday',
        ]);
    });
});
