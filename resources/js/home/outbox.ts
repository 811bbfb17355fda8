import type { Api } from '../api';
import type { Answers } from '../practice/useSession';

/** A tick that waits to be sent. Its key makes sure that it counts once, however often it is sent. */
export interface Tick {
    clientKey: string;
    taskId: number;
    date: string;
    repetitions: number;
    /** Beats a minute it was played at last. */
    tempo: number | null;
    /** From opening to ticking, without pauses; null where it was ticked for another day. */
    seconds: number | null;
    feeling: 'easy' | 'fine' | 'hard';
    note: string;
}

/** That a tick was taken back, which waits too: the tick may have been sent before. */
export interface TakenBack {
    clientKey: string;
    taskId: number;
    date: string;
    takenBack: true;
}

/** What a parent writes to the teacher on a day; an empty one takes it back. */
export interface Word {
    clientKey: string;
    studentId: number;
    date: string;
    words: string;
}

/** What was answered in the practice room; a longer list of the same session takes the place of a shorter one. */
export interface Answered extends Answers {
    clientKey: string;
}

/** How the line at sight of a day went. */
export interface Sighted {
    clientKey: string;
    studentId: number;
    date: string;
    went: 'clean' | 'nearly' | 'hard';
}

/** What was played for a task, as notes. */
export interface Taken {
    clientKey: string;
    take: { taskId: number; body: Api['TakeRequest'] } | { stepId: number; body: Api['TakeRequest'] };
}

/** That a make-up lesson was done to its end. */
export interface LedDone {
    clientKey: string;
    ledLesson: number;
}

export type Unsent = Tick | TakenBack | Word | Answered | Sighted | Taken | LedDone;

type Store = Pick<Storage, 'getItem' | 'setItem'>;

const name = (token: string) => `nasturtium.ticks.${token.slice(0, 12)}`;

export const isTick = (one: Unsent): one is Tick => 'feeling' in one;
export const isAnswered = (one: Unsent): one is Answered => 'answers' in one;
export const isSighted = (one: Unsent): one is Sighted => 'went' in one;
export const isTaken = (one: Unsent): one is Taken => 'take' in one;
export const isLedDone = (one: Unsent): one is LedDone => 'ledLesson' in one;
export const isWord = (one: Unsent): one is Word => 'words' in one;

/** What only one of can wait: a task on a day, a child’s word of a day, a session’s answers. */
function placeOf(one: Unsent): string {
    if (isAnswered(one)) return `session ${one.session}`;
    if (isTaken(one)) return `take ${one.clientKey}`;
    if (isLedDone(one)) return `led ${one.ledLesson}`;
    if (isSighted(one)) return `sight ${one.studentId} ${one.date}`;
    return isWord(one) ? `word ${one.studentId} ${one.date}` : `task ${one.taskId} ${one.date}`;
}

export function waiting(token: string, store: Store = localStorage): Unsent[] {
    try {
        const kept: unknown = JSON.parse(store.getItem(name(token)) ?? '[]');
        return Array.isArray(kept) ? (kept as Unsent[]) : [];
    } catch {
        return [];
    }
}

function keep(token: string, all: Unsent[], store: Store): void {
    store.setItem(name(token), JSON.stringify(all));
}

/** Puts something in the box; the newest takes the place of what waited for the same. */
export function post(token: string, one: Unsent, store: Store = localStorage): void {
    const others = waiting(token, store).filter((other) => placeOf(other) !== placeOf(one));
    keep(token, [...others, one], store);
}

/** Whether the task counts as done on the day: what waits says more than what the server has. */
export function isDoneWith(all: Unsent[], taskId: number, date: string, onServer: boolean): boolean {
    const last = all.find((one) => 'taskId' in one && one.taskId === taskId && one.date === date);
    return last === undefined ? onServer : isTick(last);
}

const flushing = new Map<string, Promise<unknown>>();

/**
 * Sends what waits, one after the other, also what is put in the box meanwhile; never two at a time, so that a tick and its
 * being taken back arrive in their order. One leaves the box only when the server has it, or refuses it for good.
 * @param send rejects when there is no connection; answers false when the server refuses it
 * @returns what was refused
 */
export function flush(
    token: string,
    send: (one: Unsent) => Promise<boolean>,
    store: Store = localStorage,
): Promise<Unsent[]> {
    const mine = (flushing.get(token) ?? Promise.resolve()).then(() => flushNow(token, send, store));
    flushing.set(token, mine);
    return mine;
}

async function flushNow(token: string, send: (one: Unsent) => Promise<boolean>, store: Store): Promise<Unsent[]> {
    const refused: Unsent[] = [];
    for (let next = waiting(token, store)[0]; next !== undefined; next = waiting(token, store)[0]) {
        const { clientKey } = next;
        try {
            if (!(await send(next))) refused.push(next);
        } catch {
            break;
        }
        keep(
            token,
            waiting(token, store).filter((one) => one.clientKey !== clientKey),
            store,
        );
    }
    return refused;
}
