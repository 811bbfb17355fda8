import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { type Api, api, ask, at } from '../api';

type Row = Api['ThisWeekResource'];

/** The next lesson that was not held yet; today's come first. */
export const nextOf = (rows: readonly Row[] | undefined): Row | undefined => rows?.find((row) => !row.held);

/** Opens the lesson of a student, and goes there. */
export function useOpenLesson() {
    const navigate = useNavigate();
    return useMutation({
        mutationFn: (row: Pick<Row, 'studentId' | 'lessonOn'>) =>
            ask('post', '/students/{student}/lessons', {
                ...at({ student: row.studentId }),
                body: { heldOn: row.lessonOn },
            }),
        onSuccess: (opened) => navigate(`/lessons/${opened.id}`),
    });
}

/** Goes on to the next lesson from wherever one is; to this week when there is none. */
export function useNextLesson() {
    const client = useQueryClient();
    const navigate = useNavigate();
    const open = useOpenLesson();
    return useMutation({
        mutationFn: async () => {
            const next = nextOf(await client.fetchQuery(api.queryOptions('get', '/this-week')));
            if (next === undefined) navigate('/');
            else await open.mutateAsync(next);
        },
    });
}
