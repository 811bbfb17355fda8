import { useState } from 'react';
import { type Api, api, type LessonTask, at as placed } from '../api';
import { atBar, firstBar, type Pointed, step, stretch } from './pointed';
import { usePage, wordsAt } from './SlipBoard';
import type { LessonInHand, Mark } from './useLesson';

/** Which task is heard, where on its page is pointed, and what is said of it. */
export function useHearing(hand: LessonInHand) {
    const data = hand.lesson.data;
    const [chosen, setChosen] = useState(0);
    const [pointed, point] = useState<Pointed | null>(null);
    const tasks = data?.week?.tasks ?? [];
    const task = tasks[chosen] ?? null;
    const page = usePage(task, data?.studentId);
    const rungs = useRungs(task);
    const hasBars = task !== null && task.bars.length > 0;
    const at = pointed ?? atBar(hasBars ? firstBar(task) : 0);
    const choose = (index: number) => {
        setChosen(index);
        point(null);
    };
    return {
        ...{ tasks, task, chosen, page, at, point, choose },
        go: (by: number) => tasks.length > 0 && choose((chosen + by + tasks.length) % tasks.length),
        give(mark: Mark) {
            if (task === null) return;
            hand.heard(task, { mark });
            // A pass goes on to the next task; after "again" and "stop" there may be a slip to note.
            if (mark === 'pass' && chosen < tasks.length - 1) choose(chosen + 1);
        },
        slip: (kind: Api['SlipKindResource']) =>
            task !== null && hasBars && hand.addSlip(task, kind, at, wordsAt(page.data?.report, at)),
        climb(by: number) {
            if (task === null || task.tempo === null) return;
            const now = task.tempoReached ?? task.tempo;
            const next = by > 0 ? rungs.find((rung) => rung > now) : rungs.findLast((rung) => rung < now);
            if (next !== undefined) hand.heard(task, { tempoReached: next });
        },
        toBar: (by: number) => hasBars && point(step(at, by, task)),
        toBeat: (by: 1 | -1) => hasBars && page.data && point(stretch(at, by, page.data.report)),
    };
}

export type Hearing = ReturnType<typeof useHearing>;

/** The tempi of the task's ladder, and those below it. */
function useRungs(task: LessonTask | null): number[] {
    const ladders = api.useQuery('get', '/learnings/{learning}/ladders', placed({ learning: task?.learningId ?? 0 }), {
        enabled: task !== null && task.learningId !== null,
        staleTime: 60_000,
    });
    return ladders.data?.find((ladder) => ladder.hand === (task?.hand ?? ''))?.marks ?? [];
}
