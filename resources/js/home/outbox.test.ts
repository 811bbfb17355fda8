import { beforeEach, describe, expect, it } from 'vitest';
import {
    type Answered,
    flush,
    isAnswered,
    isDoneWith,
    isSighted,
    isTick,
    post,
    type Sighted,
    type TakenBack,
    type Tick,
    waiting,
} from './outbox';

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
    seconds: null,
    feeling: 'fine',
    note: '',
});
const takenBack = (taskId: number, clientKey: string): TakenBack => ({
    clientKey,
    taskId,
    date: '2031-05-05',
    takenBack: true,
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

    it('count once for a task and a day', () => {
        post('t', tick(1, 'a'), store);
        post('t', { ...tick(1, 'b'), feeling: 'hard' }, store);
        expect(waiting('t', store)).toMatchObject([{ clientKey: 'b', feeling: 'hard' }]);
    });

    it('share the box with a parent’s word, one for a child and a day', () => {
        const word = (studentId: number, words: string) => ({ clientKey: words, studentId, date: '2031-05-05', words });
        post('t', tick(1, 'a'), store);
        for (const one of [word(1, 'away'), word(2, 'ill'), word(1, 'back')]) post('t', one, store);
        expect(waiting('t', store).map((one) => one.clientKey)).toEqual(['a', 'ill', 'back']);
        expect(isDoneWith(waiting('t', store), 1, '2031-05-05', false)).toBe(true);
        expect(isDoneWith(waiting('t', store), 2, '2031-05-05', false)).toBe(false);
    });

    it('taken back without a connection stay taken back, and that is sent later', async () => {
        post('t', takenBack(1, 'b'), store);
        await flush('t', () => Promise.reject(new TypeError('offline')), store);
        expect(waiting('t', store)).toEqual([takenBack(1, 'b')]);
        expect(isDoneWith(waiting('t', store), 1, '2031-05-05', true)).toBe(false);
        expect(isDoneWith(waiting('t', store), 2, '2031-05-05', true)).toBe(true);
        const sent: string[] = [];
        await flush('t', async (one) => sent.push(one.clientKey) > 0, store);
        expect(sent).toEqual(['b']);
        expect(isDoneWith(waiting('t', store), 1, '2031-05-05', false)).toBe(false);
    });

    it('are sent before their being taken back, however fast that follows', async () => {
        const arrived: string[] = [];
        let answer = () => {};
        const slow = new Promise<void>((resolve) => {
            answer = resolve;
        });
        const send = async (one: { clientKey: string }) => {
            if (one.clientKey === 'a') await slow;
            return arrived.push(one.clientKey) > 0;
        };
        post('t', tick(1, 'a'), store);
        const first = flush('t', send, store);
        await new Promise((resolve) => setTimeout(resolve));
        post('t', takenBack(1, 'b'), store);
        const second = flush('t', send, store);
        answer();
        await Promise.all([first, second]);
        expect(arrived).toEqual(['a', 'b']);
        expect(waiting('t', store)).toEqual([]);
    });

    it('of one family are not those of another, and rubbish is no tick', () => {
        post('first family', tick(1, 'a'), store);
        expect(waiting('other family', store)).toEqual([]);
        expect(waiting('t', { ...store, getItem: () => '{' })).toEqual([]);
    });
});

describe('answers and lines of the practice room', () => {
    const answered = (session: string, clientKey: string, count: number): Answered => ({
        clientKey,
        studentId: 1,
        session,
        kind: 'name',
        answers: Array.from({ length: count }, () => ({
            card: 'name treble:E4',
            right: true,
            milliseconds: 900,
            given: 'E',
            at: '2031-05-05T15:00:00Z',
        })),
    });
    const sighted = (date: string, clientKey: string, went: Sighted['went']): Sighted => ({
        clientKey,
        studentId: 1,
        date,
        went,
    });

    it('wait each for its session and its day; the longer list and the newer word take the place of what waited', () => {
        post('t', answered('s1', 'a', 3), store);
        post('t', answered('s2', 'b', 2), store);
        post('t', answered('s1', 'c', 8), store);
        post('t', sighted('2031-05-05', 'd', 'hard'), store);
        post('t', sighted('2031-05-05', 'e', 'clean'), store);
        post('t', sighted('2031-05-06', 'f', 'nearly'), store);
        expect(waiting('t', store).map((one) => one.clientKey)).toEqual(['b', 'c', 'e', 'f']);
    });

    it('stand beside ticks and take none away', async () => {
        post('t', tick(1, 'a'), store);
        post('t', answered('s1', 'b', 3), store);
        post('t', sighted('2031-05-05', 'c', 'clean'), store);
        expect(isDoneWith(waiting('t', store), 1, '2031-05-05', false)).toBe(true);
        expect(isDoneWith(waiting('t', store), 2, '2031-05-05', false)).toBe(false);
        const sent: boolean[] = [];
        await flush('t', async (one) => sent.push(isAnswered(one) || isSighted(one) || isTick(one)) > 0, store);
        expect(sent).toEqual([true, true, true]);
    });

    it('that come while a shorter list is on its way are sent after it', async () => {
        post('t', answered('s1', 'a', 3), store);
        const sent: string[] = [];
        await flush(
            't',
            async (one) => {
                if (one.clientKey === 'a') post('t', answered('s1', 'b', 5), store);
                return sent.push(one.clientKey) > 0;
            },
            store,
        );
        expect(sent).toEqual(['a', 'b']);
        expect(waiting('t', store)).toEqual([]);
    });
});
