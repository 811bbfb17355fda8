import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { type Api, api, ask, at } from '../api';
import type { StudentDraft } from './draft';

/**
 * A student, and what can be done with one.
 * @param done what follows a change
 */
export function useStudent(id: number, done: () => void) {
    const place = at({ student: id });
    const client = useQueryClient();
    const navigate = useNavigate();
    const query = api.useQuery('get', '/students/{student}', place);
    const fresh = () => {
        done();
        client.invalidateQueries();
    };
    const save = useMutation({
        mutationFn: (draft: StudentDraft) => ask('put', '/students/{student}', { ...place, body: draft }),
        onSuccess: fresh,
    });
    const erase = useMutation({
        mutationFn: () => ask('delete', '/students/{student}', place),
        onSuccess: () => {
            navigate('/students');
            fresh();
        },
    });
    const leave = useMutation({
        mutationFn: (left: boolean) => ask('put', '/students/{student}/left', { ...place, body: { left } }),
        onSuccess: fresh,
    });
    const plan = useMutation({
        mutationFn: () => ask('post', '/students/{student}/weeks', { ...place, body: {} }),
        onSuccess: (week) => navigate(`/weeks/${week.id}`),
    });
    const open = useMutation({
        mutationFn: (body: Api['LearningRequest']) => ask('post', '/students/{student}/learnings', { ...place, body }),
        onSuccess: fresh,
    });
    return { query, fresh, open, save, erase, leave, plan };
}

export type StudentInHand = ReturnType<typeof useStudent>;
