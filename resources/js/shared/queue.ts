import type { Deferred } from '../api';

/** A step that waits to be sent, of a lesson or of whatever else is done at one place: sent twice, it counts once. */
export interface Step extends Deferred {
    key: string;
}

type Store = Pick<Storage, 'getItem' | 'setItem'>;

/** @param place as `lesson.4` */
const name = (place: string) => `nasturtium.${place}`;

export function waitingSteps(place: string, store: Store = localStorage): Step[] {
    try {
        const kept: unknown = JSON.parse(store.getItem(name(place)) ?? '[]');
        return Array.isArray(kept) ? (kept as Step[]) : [];
    } catch {
        return [];
    }
}

export function enqueue(place: string, step: Omit<Step, 'key'>, store: Store = localStorage): void {
    const kept = [...waitingSteps(place, store), { ...step, key: crypto.randomUUID() }];
    store.setItem(name(place), JSON.stringify(kept));
}

/**
 * Sends what waits in its order. A step leaves only when the server has it, or refuses it for good.
 * @param send rejects when there is no connection; answers false when the server refuses the step
 * @returns how many were refused
 */
export async function sendSteps(
    place: string,
    send: (step: Step) => Promise<boolean>,
    store: Store = localStorage,
): Promise<number> {
    let refused = 0;
    for (let step = waitingSteps(place, store)[0]; step !== undefined; step = waitingSteps(place, store)[0]) {
        const { key } = step;
        try {
            if (!(await send(step))) refused++;
        } catch {
            break;
        }
        store.setItem(name(place), JSON.stringify(waitingSteps(place, store).filter((one) => one.key !== key)));
    }
    return refused;
}
