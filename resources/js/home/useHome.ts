import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { type Api, ApiError, ask, at, authorized, deferred } from '../api';
import type { TakeHeard } from '../listening/take';
import type { Answers } from '../practice/useSession';
import { sent, useResend } from '../shared/resend';
import { speak } from '../text';
import { dateNow, type Kept } from './clock';
import {
    flush,
    isAnswered,
    isDoneWith,
    isLedDone,
    isSighted,
    isTaken,
    isTick,
    isWord,
    post,
    type Sighted,
    type Taken,
    type Tick,
    type Unsent,
    waiting,
} from './outbox';
import { keepTold } from './toldLater';
import type { WordOfToday } from './WordToTeacher';

export type HomeWeek = Api['HomeWeekResource'];
export type HomeTaskData = Api['HomeTaskResource'];

const nameOf = (token: string, child: number | null) => `nasturtium.week.${token.slice(0, 12)}.${child ?? ''}`;
const MINUTE = 60_000;

function keptWeek(token: string, child: number | null): Kept<HomeWeek> | undefined {
    try {
        const kept = localStorage.getItem(nameOf(token, child));
        return kept === null ? undefined : (JSON.parse(kept) as Kept<HomeWeek>);
    } catch {
        return undefined;
    }
}

function requestOf(one: Unsent) {
    if (isWord(one)) {
        const { clientKey: _, ...body } = one;
        return deferred('put', '/home/word', { body });
    }
    if (isAnswered(one)) {
        const { clientKey: _, ...body } = one;
        return deferred('post', '/home/answers', { body });
    }
    if (isSighted(one)) {
        const { clientKey: _, ...body } = one;
        return deferred('put', '/home/sight', { body });
    }
    if (isTaken(one)) {
        const { take } = one;
        return 'stepId' in take
            ? deferred('put', '/home/led-steps/{ledStep}/takes', { ...at({ ledStep: take.stepId }), body: take.body })
            : deferred('put', '/home/tasks/{task}/takes', { ...at({ task: take.taskId }), body: take.body });
    }
    if (isLedDone(one)) return deferred('put', '/home/led-lessons/{ledLesson}/done', at({ ledLesson: one.ledLesson }));
    const { taskId: task, date } = one;
    if (!isTick(one)) return deferred('delete', '/home/tasks/{task}/practice/{date}', at({ task, date }));
    const { taskId: _, ...body } = one;
    return deferred('put', '/home/tasks/{task}/practice', { ...at({ task }), body });
}

/** The week of a child by a family link, kept for when there is no connection, and the ticks that wait to be sent. */
export function useHome(token: string, child: number | null) {
    const client = useQueryClient();
    const { kept, refused, put } = useOutbox(token);
    const key = ['home', token, child];
    const home = useQuery({
        queryKey: key,
        queryFn: async () => {
            const whose = child === null ? {} : { params: { query: { student: child } } };
            const kept = { week: await ask('get', '/home/week', { ...whose, ...authorized(token) }), at: Date.now() };
            localStorage.setItem(nameOf(token, child), JSON.stringify(kept));
            return kept;
        },
        initialData: () => keptWeek(token, child),
        initialDataUpdatedAt: 0,
        networkMode: 'always',
        retry: false,
    });
    const words = home.data?.week.words;
    useEffect(() => {
        if (words !== undefined) speak(words);
    }, [words]);
    const today = useToday(home.data);
    useEffect(() => {
        // What the week needs is fetched now, so that it is there without a connection.
        for (const task of home.data?.week.tasks ?? []) {
            if (task.piece !== null) client.prefetchQuery(musicOf(token, task.id));
        }
        if (home.data !== undefined) client.prefetchQuery({ ...leadOf(token, child), staleTime: MINUTE });
    }, [client, token, child, home.data]);
    const save = useCallback((answers: Answers) => put({ ...answers, clientKey: crypto.randomUUID() }), [put]);
    const tell = (studentId: number, date: string, went: Sighted['went']) =>
        put({ studentId, date, went, clientKey: crypto.randomUUID() });
    const { hear, hearStep } = takesOf(token, put);
    const ledDone = (ledLesson: number) => put({ ledLesson, clientKey: crypto.randomUUID() });
    const tick = (of: Omit<Tick, 'clientKey'>) => put({ ...of, clientKey: crypto.randomUUID() });
    const untick = (taskId: number, date: string) =>
        put({ taskId, date, takenBack: true, clientKey: crypto.randomUUID() });
    const week = home.data?.week;
    const word = wordOf(week, today, kept, put);
    /** Ticked on a day, sent or not yet. */
    const isDone = (task: HomeTaskData, date: string) =>
        isDoneWith(
            kept,
            task.id,
            date,
            task.practices.some((practice) => practice.date === date),
        );
    return { home, week, today, kept, refused, tick, untick, isDone, word, save, tell, hear, hearStep, ledDone };
}

/** What was played, judged: of a task of the week, or of a step of a lesson that is led. */
function takesOf(token: string, put: (one: Unsent) => void) {
    /** Judged at once where there is a connection; else it waits, and nothing is told. */
    const heard = async (take: Taken['take'], judged: Promise<TakeHeard>): Promise<TakeHeard | null> => {
        try {
            return await judged;
        } catch (error) {
            if (error instanceof ApiError) throw error;
            put({ clientKey: take.body.clientKey, take });
            return null;
        }
    };
    const by = authorized(token);
    const hear = (taskId: number, body: Api['TakeRequest']) =>
        heard({ taskId, body }, ask('put', '/home/tasks/{task}/takes', { ...at({ task: taskId }), body, ...by }));
    const hearStep = (stepId: number, body: Api['TakeRequest']) =>
        heard(
            { stepId, body },
            ask('put', '/home/led-steps/{ledStep}/takes', { ...at({ ledStep: stepId }), body, ...by }),
        );
    return { hear, hearStep };
}

/** What was heard in a take that had waited is told when its task is opened. */
function keepAnswer(token: string, one: Unsent, answer: unknown): void {
    if (!isTaken(one) || !('taskId' in one.take)) return;
    const { well, thing } = answer as TakeHeard;
    keepTold(token, { taskId: one.take.taskId, at: one.take.body.at, heard: { well, thing } });
}

/** What waits to be sent, and is sent as soon as it can be. */
function useOutbox(token: string) {
    const client = useQueryClient();
    const [kept, setKept] = useState<Unsent[]>(() => waiting(token));
    const [refused, setRefused] = useState(0);
    const send = useCallback(async () => {
        const lost = await flush(token, (one) =>
            sent(requestOf(one), token, (answer) => keepAnswer(token, one, answer)),
        );
        setRefused((before) => before + lost.filter((one) => isTick(one) || isWord(one) || isTaken(one)).length);
        setKept(waiting(token));
        await client.invalidateQueries({ queryKey: ['home', token] });
        await client.invalidateQueries({ queryKey: ['home-room', token] });
    }, [client, token]);
    const isWaiting = useCallback(() => waiting(token).length > 0, [token]);
    useResend(isWaiting, send);
    const put = useCallback(
        (one: Unsent) => {
            post(token, one);
            setKept(waiting(token));
            send();
        },
        [token, send],
    );
    return { kept, refused, put };
}

/** What a parent writes to the teacher; changed, it takes the place of what was written before on this day. */
function wordOf(week: HomeWeek | undefined, today: string, kept: Unsent[], put: (one: Unsent) => void): WordOfToday {
    const unsaid = kept.filter(isWord).find((one) => one.studentId === week?.studentId && one.date === today);
    return {
        words: unsaid?.words ?? week?.word ?? '',
        waits: unsaid !== undefined,
        say: (words) =>
            week !== undefined &&
            put({ studentId: week.studentId, date: today, words, clientKey: crypto.randomUUID() }),
    };
}

/** The practice room of a child for a week; it is fetched with the week, and kept. */
export const roomOf = (token: string, child: number | null) => ({
    queryKey: ['home-room', token, child],
    queryFn: () =>
        ask('get', '/home/room', {
            ...(child === null ? {} : { params: { query: { student: child } } }),
            ...authorized(token),
        }),
    staleTime: 60_000,
    networkMode: 'always' as const,
});

/** The led run through what is left of today. */
export const leadOf = (token: string, child: number | null) => ({
    queryKey: ['home-lead', token, child],
    queryFn: () =>
        ask('get', '/home/lead', {
            ...(child === null ? {} : { params: { query: { student: child } } }),
            ...authorized(token),
        }),
    networkMode: 'always' as const,
});

/** The music of a task; it does not change while its week lasts. */
export const musicOf = (token: string, task: number) => ({
    queryKey: ['home-music', token, task],
    queryFn: () => ask('get', '/home/tasks/{task}', { ...at({ task }), ...authorized(token) }),
    staleTime: Number.POSITIVE_INFINITY,
    networkMode: 'always' as const,
});

/** Goes on by itself at midnight. */
function useToday(kept: Kept<HomeWeek> | undefined): string {
    const [, setMinute] = useState(0);
    useEffect(() => {
        const timer = setInterval(() => setMinute((minute) => minute + 1), MINUTE);
        return () => clearInterval(timer);
    }, []);
    return kept === undefined ? '' : dateNow(kept);
}
