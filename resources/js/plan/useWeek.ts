import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, at, keyOf, type Week } from '../api';
import { type Change, type Moved, movedBetween, type PlannedTask, plannedWeek } from './planning';

/** What is sent: the tasks, and how they are meant. */
interface Saving {
    tasks: PlannedTask[];
    /** Percent of the minutes. */
    share?: number;
    /** Nothing is planned around the change. */
    justSo?: boolean;
    /** A tempo may jump. */
    sure?: boolean;
}

/** A week that can be changed, each change saved at once with the rest planned around it, and taken back. */
export function useWeek(id: number) {
    const client = useQueryClient();
    const [undone, setUndone] = useState<Saving[]>([]);
    const [moved, setMoved] = useState<Moved[]>([]);
    const place = at({ week: id });
    const key = keyOf('/weeks/{week}', place);
    const week = api.useQuery('get', '/weeks/{week}', place);
    const stored = (answer: Week) => {
        const before = client.getQueryData<Week>(key);
        setMoved(before === undefined ? [] : movedBetween(before, answer));
        client.setQueryData(key, answer);
        client.invalidateQueries({ queryKey: keyOf('/this-week') });
    };
    const save = useMutation({
        mutationFn: (saving: Saving) => ask('put', '/weeks/{week}', { ...place, body: saving }),
        onSuccess: stored,
    });
    const send = useSend(id, stored);
    const again = useProposal(week.data, (answer) => {
        setUndone([]);
        stored(answer);
    });
    /** Last week's tasks, or those of a pattern. */
    const fill = useMutation({
        mutationFn: ({ pattern }: { pattern: number | null }) =>
            pattern === null
                ? ask('post', '/weeks/{week}/last', place)
                : ask('post', '/weeks/{week}/patterns/{pattern}', at({ week: id, pattern })),
        onSuccess: (answer) => {
            if (week.data !== undefined) remember(week.data);
            stored(answer);
        },
    });
    const remember = (before: Week) =>
        setUndone((steps) => [...steps, { tasks: plannedWeek(before), share: before.share, justSo: true }]);
    const apply = (change: Change, after?: () => void, how: Omit<Saving, 'tasks'> = {}) => {
        if (week.data === undefined || save.isPending) return;
        const before = week.data;
        save.mutate(
            { tasks: change(plannedWeek(before)), ...how },
            {
                onSuccess: () => {
                    remember(before);
                    after?.();
                },
            },
        );
    };
    const undo = () => {
        const before = undone.at(-1);
        if (before === undefined || save.isPending) return;
        save.mutate(before, { onSuccess: () => setUndone((steps) => steps.slice(0, -1)) });
    };
    return { week, save, send, again, fill, apply, undo, canUndo: undone.length > 0, moved };
}

export type WeekInHand = ReturnType<typeof useWeek>;

/** Sends the week, with a word to the family where there is one. */
function useSend(id: number, stored: (answer: Week) => void) {
    return useMutation({
        mutationFn: (message?: string) =>
            ask('put', '/weeks/{week}/sent', {
                ...at({ week: id }),
                ...(message === undefined ? {} : { body: { message } }),
            }),
        onSuccess: stored,
    });
}

/** Plans the week anew. */
function useProposal(week: Week | undefined, onSuccess: (answer: Week) => void) {
    return useMutation({
        mutationFn: () =>
            ask('post', '/students/{student}/weeks', {
                ...at({ student: week?.studentId ?? 0 }),
                body: { from: week?.startsOn ?? null },
            }),
        onSuccess,
    });
}
