import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { type Api, api, ask, at, type Deferred, deferred, keyOf, type LessonCard, type LessonTask } from '../api';
import { enqueue, sendSteps, waitingSteps } from '../shared/queue';
import { sent, useResend } from '../shared/resend';
import type { Pointed } from './pointed';

/** Where the steps of a lesson wait. */
const placeOf = (lesson: number) => `lesson.${lesson}`;

export type LessonData = Api['LessonResource'];
export type Slip = Api['SlipResource'];
export type Mark = Api['LessonVerdict'] | null;
/** What is noted of the whole lesson. */
export type Kept = Partial<Pick<LessonData, 'attendance' | 'minutes' | 'privateNote' | 'sharedNote'>>;

/** What was heard of a task, but for its mark. */
export interface Reached {
    tempoReached: number | null;
    note: string;
}

const reachedOf = (task: LessonTask): Reached => ({ tempoReached: task.tempoReached, note: task.heardNote });

/** How a card is marked: a page up to a stage. */
interface Marked {
    mark: Mark;
    stageId: number | null;
}

/** A lesson whose every step shows at once, is kept, and is sent when there is a connection; each can be taken back. */
export function useLesson(id: number) {
    const place = at({ lesson: id });
    const lesson = api.useQuery('get', '/lessons/{lesson}', place);
    const { waiting, refused, edit, step, send } = useSteps(id);
    const [done, setDone] = useState<(() => void)[]>([]);
    const { setMark, setReached } = useMarks(id, edit, step);
    const { putSlip, takeSlip } = useSlips(id, edit, step);
    const undoable = (back: () => void) => setDone((steps) => [...steps, back]);

    const finish = useFinish(id, send);
    return {
        lesson,
        waiting,
        refused,
        finish,
        mark: (card: LessonCard, mark: Mark, stageId: number | null) => {
            const before: Marked = { mark: card.mark, stageId: card.steps.length > 0 ? card.heardId : null };
            setMark(card, { mark, stageId });
            undoable(() => setMark(card, before));
        },
        reached: (task: LessonTask, change: Partial<Reached>) => {
            const before = reachedOf(task);
            setReached(task, { ...before, ...change });
            undoable(() => setReached(task, before));
        },
        addSlip: (task: LessonTask, kind: Api['SlipKindResource'], at: Pointed, place: string) => {
            const slip = slipOf(task, kind, at, place);
            // At one place a slip is noted once.
            if (lesson.data?.slips.some((one) => isSame(one, slip))) return;
            const where = { measure: at.first, last: at.last, fromBeat: at.from, toBeat: at.to };
            putSlip(slip, {
                taskId: task.id,
                kind: kind.kind,
                hand: task.hand,
                clientKey: slip.clientKey ?? '',
                ...where,
            });
            undoable(() => takeSlip(slip));
        },
        dropSlip: takeSlip,
        record: (change: Kept) => {
            edit((data) => ({ ...data, ...change }));
            step(deferred('patch', '/lessons/{lesson}', { ...place, body: change }));
        },
        undo: () => {
            done.at(-1)?.();
            setDone((steps) => steps.slice(0, -1));
        },
        canUndo: done.length > 0,
    };
}

/** How cards are marked, and what was reached on their tasks. */
function useMarks(id: number, edit: Steps['edit'], step: Steps['step']) {
    const setReached = (task: LessonTask, reached: Reached) => {
        edit((data) => withTask(data, task.id, { tempoReached: reached.tempoReached, heardNote: reached.note }));
        step(
            deferred('put', '/lessons/{lesson}/marks/{task}', { ...at({ lesson: id, task: task.id }), body: reached }),
        );
    };
    const setMark = (card: LessonCard, { mark, stageId }: Marked) => {
        edit((data) => withMark(data, card.key, { mark, heardId: stageId ?? card.heardId }));
        const task = card.tasks[0];
        if (card.learningId !== null) {
            const place = at({ lesson: id, learning: card.learningId });
            step(deferred('put', '/lessons/{lesson}/pages/{learning}', { ...place, body: { mark, stageId } }));
        } else if (task !== undefined) {
            const place = at({ lesson: id, task: task.id });
            step(deferred('put', '/lessons/{lesson}/marks/{task}', { ...place, body: { mark } }));
        }
    };
    return { setMark, setReached };
}

/** The lesson with one of its cards changed. */
const withMark = (data: LessonData, key: string, change: Pick<LessonCard, 'mark' | 'heardId'>): LessonData => ({
    ...data,
    cards: data.cards.map((card) => (card.key === key ? { ...card, ...change } : card)),
});

/** The lesson with one of its tasks changed. */
const withTask = (data: LessonData, id: number, change: Partial<LessonTask>): LessonData => ({
    ...data,
    cards: data.cards.map((card) => ({
        ...card,
        tasks: card.tasks.map((task) => (task.id === id ? { ...task, ...change } : task)),
    })),
});

type Steps = ReturnType<typeof useSteps>;

/** Slips are put and taken back by the key that this window gave them, or by the number of the server. */
function useSlips(id: number, edit: Steps['edit'], step: Steps['step']) {
    const putSlip = (slip: Slip, body: Api['SlipRequest']) => {
        edit((data) => ({ ...data, slips: [...data.slips, slip] }));
        step(deferred('post', '/lessons/{lesson}/slips', { ...at({ lesson: id }), body }));
    };
    const takeSlip = (slip: Slip) => {
        edit((data) => ({
            ...data,
            slips: data.slips.filter((one) => one.clientKey !== slip.clientKey || one.id !== slip.id),
        }));
        step(
            slip.clientKey === null
                ? deferred('delete', '/slips/{slip}', at({ slip: slip.id }))
                : deferred('delete', '/lessons/{lesson}/slips/{key}', at({ lesson: id, key: slip.clientKey })),
        );
    };
    return { putSlip, takeSlip };
}

/** A slip before the server knows it; its key is how both speak of it. */
function slipOf(task: LessonTask, kind: Api['SlipKindResource'], at: Pointed, place: string): Slip {
    return {
        id: 0,
        taskId: task.id,
        kind: kind.kind,
        words: kind.words,
        measure: at.first,
        last: at.last,
        clientKey: crypto.randomUUID(),
        place,
        hand: task.hand,
    };
}

const isSame = (one: Slip, other: Slip) =>
    one.taskId === other.taskId && one.kind === other.kind && one.place === other.place && one.hand === other.hand;

/** The steps of a lesson: each shows at once, waits here, and is sent in order when there is a connection. */
function useSteps(id: number) {
    const client = useQueryClient();
    const key = keyOf('/lessons/{lesson}', at({ lesson: id }));
    const [waiting, setWaiting] = useState(() => waitingSteps(placeOf(id)).length);
    const [refused, setRefused] = useState(0);
    /** An answer that was on its way was let go. */
    const owed = useRef(false);
    const edit = (change: (data: LessonData) => LessonData) => {
        // An answer that is on its way knows nothing of this step; it is asked for again when the step is sent.
        if (client.getQueryState(key)?.fetchStatus === 'fetching') owed.current = true;
        client.cancelQueries({ queryKey: key });
        client.setQueryData<LessonData>(key, (data) => data && change(data));
    };

    const sending = useRef<Promise<void> | null>(null);
    const sendAll = useCallback(async () => {
        let marksAlone = true;
        const lost = await sendSteps(placeOf(id), async (step) => {
            const taken = await sent(step);
            marksAlone = marksAlone && step.path.includes('/marks/');
            return taken;
        });
        setRefused((before) => before + lost);
        const left = waitingSteps(placeOf(id)).length;
        setWaiting(left);
        // Slips bring remedies, and a page that passes takes stages along, which the server finds.
        if (left === 0 && (lost > 0 || !marksAlone || owed.current)) {
            owed.current = false;
            // Not waited for: a step that comes meanwhile is sent at once.
            client.invalidateQueries({ queryKey: keyOf('/lessons/{lesson}', at({ lesson: id })) });
        }
    }, [client, id]);
    /** One at a time; what comes meanwhile is sent by the one that is under way. */
    const send = useCallback(() => {
        sending.current ??= sendAll().finally(() => {
            sending.current = null;
        });
        return sending.current;
    }, [sendAll]);
    const isWaiting = useCallback(() => waitingSteps(placeOf(id)).length > 0, [id]);
    useResend(isWaiting, send);

    const step = (next: Deferred) => {
        enqueue(placeOf(id), next);
        setWaiting(waitingSteps(placeOf(id)).length);
        send();
    };
    return { waiting, refused, edit, step, send };
}

/** The lesson is over when every step of it is sent. */
function useFinish(id: number, send: () => Promise<void>) {
    return useMutation({
        mutationFn: async () => {
            await send();
            if (waitingSteps(placeOf(id)).length > 0) throw new TypeError('no connection');
            return ask('put', '/lessons/{lesson}/finished', at({ lesson: id }));
        },
    });
}

export type LessonInHand = ReturnType<typeof useLesson>;
