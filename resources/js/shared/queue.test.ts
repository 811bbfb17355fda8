import { describe, expect, it } from 'vitest';
import { enqueue, type Step, sendSteps, waitingSteps } from './queue';

function store() {
    const kept = new Map<string, string>();
    return {
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, value: string) => void kept.set(key, value),
    };
}

const mark = (task: number): Omit<Step, 'key'> => ({
    method: 'put',
    path: `/lessons/4/marks/${task}`,
    body: { mark: 'pass' },
});

describe('the steps of a lesson', () => {
    it('are sent in their order, each once', async () => {
        const box = store();
        for (const task of [1, 2, 3]) enqueue('lesson.4', mark(task), box);
        const sent: string[] = [];
        await sendSteps('lesson.4', async (step) => sent.push(step.path) > 0, box);
        await sendSteps('lesson.4', async (step) => sent.push(step.path) > 0, box);
        expect(sent).toEqual(['/lessons/4/marks/1', '/lessons/4/marks/2', '/lessons/4/marks/3']);
    });

    it('wait while there is no connection, and nothing is lost', async () => {
        const box = store();
        enqueue('lesson.4', mark(1), box);
        enqueue('lesson.4', mark(2), box);
        let tries = 0;
        const dropping = async () => {
            if (++tries > 1) throw new TypeError('offline');
            return true;
        };
        expect(await sendSteps('lesson.4', dropping, box)).toBe(0);
        expect(waitingSteps('lesson.4', box).map((step) => step.path)).toEqual(['/lessons/4/marks/2']);
    });

    it('that are refused make way for the others', async () => {
        const box = store();
        enqueue('lesson.4', mark(1), box);
        enqueue('lesson.4', mark(2), box);
        expect(await sendSteps('lesson.4', async (step) => step.path !== '/lessons/4/marks/1', box)).toBe(1);
        expect(waitingSteps('lesson.4', box)).toEqual([]);
    });

    it('of another lesson are left alone, and what cannot be read is none', () => {
        const box = store();
        enqueue('lesson.4', mark(1), box);
        expect(waitingSteps('lesson.5', box)).toEqual([]);
        box.setItem('nasturtium.lesson.4', '{');
        expect(waitingSteps('lesson.4', box)).toEqual([]);
    });
});
