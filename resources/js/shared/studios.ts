import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { type Api, ask, keyOf } from '../api';

type Session = Api['SessionResource'];

/** Windows of one browser stand in one studio. */
const CHANNEL = 'nasturtium-studio';

/** Goes into another studio: what was fetched of the one before is forgotten, in every window. */
export function useEnter<Given = void>(enter: (given: Given) => Promise<Session>) {
    const client = useQueryClient();
    const navigate = useNavigate();
    return useMutation({
        mutationFn: enter,
        onSuccess: (session) => {
            client.clear();
            client.setQueryData(keyOf('/session'), session);
            const channel = new BroadcastChannel(CHANNEL);
            channel.postMessage(session.studio.id);
            channel.close();
            navigate('/');
        },
    });
}

export const useSwitch = () => useEnter((studioId: number) => ask('put', '/session/studio', { body: { studioId } }));

/** The studio was changed in another window of this browser. */
export function useChangedElsewhere(): void {
    const client = useQueryClient();
    const navigate = useNavigate();
    useEffect(() => {
        const channel = new BroadcastChannel(CHANNEL);
        channel.onmessage = () => {
            client.clear();
            navigate('/');
        };
        return () => channel.close();
    }, [client, navigate]);
}

/** An assistant has the lessons and plans of the students given to her; all else is the teachers’. */
export const teaches = (session: Pick<Session, 'role'> | undefined) => session?.role !== 'assistant';

/** Those that are taught by whoever is signed in; all of them where that is nobody. */
export function mine<Row extends { teacherId: number | null }>(rows: Row[], session: Session | undefined): Row[] {
    const own = rows.filter(
        (row) => row.teacherId === session?.memberId || (row.teacherId === null && session?.role === 'owner'),
    );
    return own.length === 0 ? rows : own;
}
