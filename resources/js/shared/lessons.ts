import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { type Api, api, ask, at } from '../api';
import { mine } from './studios';

type Row = Api['ThisWeekResource'];
type Session = Api['SessionResource'];

/** The next lesson of her own that was not held yet; today's come first. */
export const nextOf = (rows: Row[] | undefined, session: Session | undefined): Row | undefined =>
    rows && mine(rows, session).find((row) => !row.held);

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
export function useNextLesson(session: Session | undefined) {
    const client = useQueryClient();
    const navigate = useNavigate();
    const open = useOpenLesson();
    return useMutation({
        mutationFn: async () => {
            const next = nextOf(await client.fetchQuery(api.queryOptions('get', '/this-week')), session);
            if (next === undefined) navigate('/');
            else await open.mutateAsync(next);
        },
    });
}
