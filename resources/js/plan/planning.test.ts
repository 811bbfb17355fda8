import { describe, expect, it } from 'vitest';
import { add, change, move, type PlannedTask, remove } from './planning';

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
    dates,
});

const week = [task(1, ['2031-05-06']), task(2, [])];

describe('changing a week', () => {
    it('moves a task from a day to another, in order', () => {
        expect(move(1, '2031-05-06', '2031-05-05')(week)[0]?.dates).toEqual(['2031-05-05']);
        expect(move(1, null, '2031-05-05')(week)[0]?.dates).toEqual(['2031-05-05', '2031-05-06']);
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
