import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { type Api, api, ask, at, type Deferred, deferred, keyOf, type LessonTask } from '../api';
import { sent, useResend } from '../shared/resend';
import type { Pointed } from './pointed';
import { enqueue, sendSteps, waitingSteps } from './queue';

export type LessonData = Api['LessonResource'];
export type Slip = Api['SlipResource'];
export type Mark = Api['LessonVerdict'] | null;
/** What is noted of the whole lesson. */
export type Kept = Partial<Pick<LessonData, 'minutes' | 'privateNote' | 'sharedNote'>>;

/** What was heard of a task. */
export interface Heard {
    mark: Mark;
    tempoReached: number | null;
    note: string;
}

export const heardOf = (task: LessonTask): Heard => ({
    mark: task.mark,
    tempoReached: task.tempoReached,
    note: task.heardNote,
});

/** A lesson whose every step shows at once, is kept, and is sent when there is a connection; each can be taken back. */
export function useLesson(id: number) {
    const place = at({ lesson: id });
    const lesson = api.useQuery('get', '/lessons/{lesson}', place);
    const { waiting, refused, edit, step, send } = useSteps(id);
    const [done, setDone] = useState<(() => void)[]>([]);
    const setHeard = (task: LessonTask, heard: Heard) => {
        edit((data) => withHeard(data, task, heard));
        step(deferred('put', '/lessons/{lesson}/marks/{task}', { ...at({ lesson: id, task: task.id }), body: heard }));
    };
    const { putSlip, takeSlip } = useSlips(id, edit, step);
    const undoable = (back: () => void) => setDone((steps) => [...steps, back]);

    const finish = useFinish(id, send);
    return {
        lesson,
        waiting,
        refused,
        finish,
        heard: (task: LessonTask, change: Partial<Heard>) => {
            const before = heardOf(task);
            setHeard(task, { ...before, ...change });
            undoable(() => setHeard(task, before));
        },
        addSlip: (task: LessonTask, kind: Api['SlipKindResource'], at: Pointed, place: string) => {
            const slip = slipOf(task, kind, at, place);
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

/** The lesson with what was heard of one task. */
const withHeard = (data: LessonData, task: LessonTask, { mark, tempoReached, note }: Heard): LessonData => ({
    ...data,
    week: data.week && {
        ...data.week,
        tasks: data.week.tasks.map((one) =>
            one.id === task.id ? { ...one, mark, tempoReached, heardNote: note } : one,
        ),
    },
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

/** The steps of a lesson: each shows at once, waits here, and is sent in order when there is a connection. */
function useSteps(id: number) {
    const client = useQueryClient();
    const key = keyOf('/lessons/{lesson}', at({ lesson: id }));
    const [waiting, setWaiting] = useState(() => waitingSteps(id).length);
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
        const lost = await sendSteps(id, async (step) => {
            const taken = await sent(step);
            marksAlone = marksAlone && step.method === 'put';
            return taken;
        });
        setRefused((before) => before + lost);
        const left = waitingSteps(id).length;
        setWaiting(left);
        // Slips bring remedies, which the server finds; a mark shows as it was given.
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
    const isWaiting = useCallback(() => waitingSteps(id).length > 0, [id]);
    useResend(isWaiting, send);

    const step = (next: Deferred) => {
        enqueue(id, next);
        setWaiting(waitingSteps(id).length);
        send();
    };
    return { waiting, refused, edit, step, send };
}

/** The lesson is over when every step of it is sent. */
function useFinish(id: number, send: () => Promise<void>) {
    return useMutation({
        mutationFn: async () => {
            await send();
            if (waitingSteps(id).length > 0) throw new TypeError('no connection');
            return ask('put', '/lessons/{lesson}/finished', at({ lesson: id }));
        },
    });
}

export type LessonInHand = ReturnType<typeof useLesson>;
