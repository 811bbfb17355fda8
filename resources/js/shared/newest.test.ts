import { describe, expect, it } from 'vitest';
import { Newest } from './newest';

describe('the newest of what waits', () => {
    it('is done next, and what it replaced is not', async () => {
        const begun: number[] = [];
        const finish: (() => void)[] = [];
        const newest = new Newest(async (order: number) => {
            begun.push(order);
            await new Promise<void>((done) => finish.push(done));
            return order * 10;
        });
        const answers = [1, 2, 3, 4].map((order) => newest.give(order));
        expect(begun).toEqual([1]);
        finish[0]?.();
        expect(await answers[0]).toBe(10);
        await Promise.resolve();
        expect(begun).toEqual([1, 4]);
        finish[1]?.();
        expect(await Promise.all(answers)).toEqual([10, null, null, 40]);
    });

    it('goes on after a failure', async () => {
        const newest = new Newest(async (order: number) => {
            if (order === 1) throw new Error('no');
            return order;
        });
        await expect(newest.give(1)).rejects.toThrow('no');
        expect(await newest.give(2)).toBe(2);
    });
});
