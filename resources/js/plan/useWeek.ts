import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Week } from '../shared/api';
import { type Change, type PlannedTask, plannedWeek } from './planning';

/** A week that can be changed, each change saved at once under the rules of the plan, and taken back. */
export function useWeek(id: number) {
    const client = useQueryClient();
    const [undone, setUndone] = useState<PlannedTask[][]>([]);
    const key = ['week', id];
    const week = useQuery({ queryKey: key, queryFn: () => ask<Week>('GET', `/weeks/${id}`) });
    const stored = (answer: Week) => {
        client.setQueryData(key, answer);
        client.invalidateQueries({ queryKey: ['this-week'] });
    };
    const save = useMutation({
        mutationFn: (tasks: PlannedTask[]) => ask<Week>('PUT', `/weeks/${id}`, { tasks }),
        onSuccess: stored,
    });
    const send = useMutation({ mutationFn: () => ask<Week>('PUT', `/weeks/${id}/sent`), onSuccess: stored });
    const again = useMutation({
        mutationFn: () => ask<Week>('POST', `/students/${week.data?.studentId}/weeks`, { from: week.data?.startsOn }),
        onSuccess: (answer) => {
            setUndone([]);
            stored(answer);
        },
    });
    const apply = (change: Change, after?: () => void) => {
        if (week.data === undefined || save.isPending) return;
        const before = plannedWeek(week.data);
        save.mutate(change(before), {
            onSuccess: () => {
                setUndone((steps) => [...steps, before]);
                after?.();
            },
        });
    };
    const undo = () => {
        const before = undone.at(-1);
        if (before === undefined || save.isPending) return;
        save.mutate(before, { onSuccess: () => setUndone((steps) => steps.slice(0, -1)) });
    };
    return { week, save, send, again, apply, undo, canUndo: undone.length > 0 };
}
