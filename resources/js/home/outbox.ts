/** A tick that waits to be sent. Its key makes sure that it counts once, however often it is sent. */
export interface Tick {
    clientKey: string;
    taskId: number;
    date: string;
    repetitions: number;
    /** Beats a minute it was played at last. */
    tempo: number | null;
    feeling: 'easy' | 'fine' | 'hard';
    note: string;
}

type Store = Pick<Storage, 'getItem' | 'setItem'>;

const name = (token: string) => `nasturtium.ticks.${token.slice(0, 12)}`;

export function waiting(token: string, store: Store = localStorage): Tick[] {
    try {
        const kept: unknown = JSON.parse(store.getItem(name(token)) ?? '[]');
        return Array.isArray(kept) ? (kept as Tick[]) : [];
    } catch {
        return [];
    }
}

function keep(token: string, ticks: Tick[], store: Store): void {
    store.setItem(name(token), JSON.stringify(ticks));
}

/** Puts a tick in the box; a second one for the same task and day takes the place of the first. */
export function post(token: string, tick: Tick, store: Store = localStorage): void {
    const others = waiting(token, store).filter((one) => one.taskId !== tick.taskId || one.date !== tick.date);
    keep(token, [...others, tick], store);
}

export function takeBack(token: string, taskId: number, date: string, store: Store = localStorage): void {
    keep(
        token,
        waiting(token, store).filter((one) => one.taskId !== taskId || one.date !== date),
        store,
    );
}

/**
 * Sends what waits, one after the other. A tick leaves the box only when the server has it, or refuses it for good.
 * @param send rejects when there is no connection; answers false when the server refuses the tick
 * @returns the ticks that were refused
 */
export async function flush(
    token: string,
    send: (tick: Tick) => Promise<boolean>,
    store: Store = localStorage,
): Promise<Tick[]> {
    const refused: Tick[] = [];
    for (const tick of waiting(token, store)) {
        let taken: boolean;
        try {
            taken = await send(tick);
        } catch {
            break;
        }
        if (!taken) refused.push(tick);
        keep(
            token,
            waiting(token, store).filter((one) => one.clientKey !== tick.clientKey),
            store,
        );
    }
    return refused;
}
