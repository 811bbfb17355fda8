import { beforeEach, describe, expect, it } from 'vitest';
import { flush, post, type Tick, takeBack, waiting } from './outbox';

let kept: Map<string, string>;
const store = {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, value: string) => void kept.set(name, value),
};
const tick = (taskId: number, clientKey: string): Tick => ({
    clientKey,
    taskId,
    date: '2031-05-05',
    repetitions: 3,
    tempo: null,
    feeling: 'fine',
    note: '',
});

beforeEach(() => {
    kept = new Map();
});

describe('ticks on a flaky phone', () => {
    it('wait until they are sent, and go in their order', async () => {
        post('token-of-family', tick(1, 'a'), store);
        post('token-of-family', tick(2, 'b'), store);
        const sent: string[] = [];
        await flush('token-of-family', async (one) => sent.push(one.clientKey) > 0, store);
        expect(sent).toEqual(['a', 'b']);
        expect(waiting('token-of-family', store)).toEqual([]);
    });

    it('stay when the connection drops, with the same key', async () => {
        post('t', tick(1, 'a'), store);
        post('t', tick(2, 'b'), store);
        let calls = 0;
        await flush(
            't',
            async () => {
                calls += 1;
                if (calls === 2) throw new TypeError('offline');
                return true;
            },
            store,
        );
        expect(waiting('t', store).map((one) => one.clientKey)).toEqual(['b']);
    });

    it('are dropped and told when the server refuses them', async () => {
        post('t', tick(1, 'a'), store);
        expect(await flush('t', async () => false, store)).toHaveLength(1);
        expect(waiting('t', store)).toEqual([]);
    });

    it('count once for a task and a day, and can be taken back before they went', () => {
        post('t', tick(1, 'a'), store);
        post('t', { ...tick(1, 'b'), feeling: 'hard' }, store);
        expect(waiting('t', store)).toMatchObject([{ clientKey: 'b', feeling: 'hard' }]);
        takeBack('t', 1, '2031-05-05', store);
        expect(waiting('t', store)).toEqual([]);
    });

    it('of one family are not those of another, and rubbish is no tick', () => {
        post('first family', tick(1, 'a'), store);
        expect(waiting('other family', store)).toEqual([]);
        expect(waiting('t', { ...store, getItem: () => '{' })).toEqual([]);
    });
});
