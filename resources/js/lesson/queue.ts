import type { Deferred } from '../api';

/** A step of a lesson that waits to be sent: sent twice, it counts once. */
export interface Step extends Deferred {
    key: string;
}

type Store = Pick<Storage, 'getItem' | 'setItem'>;

const name = (lesson: number) => `nasturtium.lesson.${lesson}`;

export function waitingSteps(lesson: number, store: Store = localStorage): Step[] {
    try {
        const kept: unknown = JSON.parse(store.getItem(name(lesson)) ?? '[]');
        return Array.isArray(kept) ? (kept as Step[]) : [];
    } catch {
        return [];
    }
}

export function enqueue(lesson: number, step: Omit<Step, 'key'>, store: Store = localStorage): void {
    const kept = [...waitingSteps(lesson, store), { ...step, key: crypto.randomUUID() }];
    store.setItem(name(lesson), JSON.stringify(kept));
}

/**
 * Sends what waits in its order. A step leaves only when the server has it, or refuses it for good.
 * @param send rejects when there is no connection; answers false when the server refuses the step
 * @returns how many were refused
 */
export async function sendSteps(
    lesson: number,
    send: (step: Step) => Promise<boolean>,
    store: Store = localStorage,
): Promise<number> {
    let refused = 0;
    for (let step = waitingSteps(lesson, store)[0]; step !== undefined; step = waitingSteps(lesson, store)[0]) {
        const { key } = step;
        try {
            if (!(await send(step))) refused++;
        } catch {
            break;
        }
        store.setItem(name(lesson), JSON.stringify(waitingSteps(lesson, store).filter((one) => one.key !== key)));
    }
    return refused;
}
