import type { TakeHeard } from '../listening/take';

/** What was heard in a take that had waited for a connection; the newest of each task. */
export interface ToldLater {
    taskId: number;
    /** When it was played. */
    at: string;
    heard: Pick<TakeHeard, 'well' | 'thing'>;
}

type Store = Pick<Storage, 'getItem' | 'setItem'>;

/** Of so many tasks; older ones are no news. */
const MOST = 20;

const name = (token: string) => `nasturtium.told.${token.slice(0, 12)}`;

function all(token: string, store: Store): ToldLater[] {
    try {
        const kept: unknown = JSON.parse(store.getItem(name(token)) ?? '[]');
        return Array.isArray(kept) ? (kept as ToldLater[]) : [];
    } catch {
        return [];
    }
}

export function keepTold(token: string, told: ToldLater, store: Store = localStorage): void {
    const others = all(token, store).filter((one) => one.taskId !== told.taskId);
    store.setItem(name(token), JSON.stringify([...others, told].slice(-MOST)));
}

export function toldFor(token: string, taskId: number, store: Store = localStorage): ToldLater | null {
    return all(token, store).find((one) => one.taskId === taskId) ?? null;
}

export function forgetTold(token: string, taskId: number, store: Store = localStorage): void {
    store.setItem(name(token), JSON.stringify(all(token, store).filter((one) => one.taskId !== taskId)));
}
