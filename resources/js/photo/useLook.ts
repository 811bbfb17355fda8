import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { api, ask, at, keyOf, standing } from '../api';
import type { Correction, ReadPage } from './doubts';

/** What was read, fetched anew each time it is opened. */
function useReading(photo: number) {
    return useQuery(
        // What was read before it was read again is not shown once more.
        api.queryOptions('get', '/photos/{photo}/reading', at({ photo }), {
            staleTime: Number.POSITIVE_INFINITY,
            gcTime: 0,
            refetchOnMount: 'always',
        }),
    );
}

/**
 * What was read of a picture, and the corrections on their way. Keys that are pressed while one is on its way go together
 * with the next.
 */
export function useLook(photo: number) {
    const client = useQueryClient();
    const query = useReading(photo);
    const [error, setError] = useState<unknown>(null);
    const [overtaken, setOvertaken] = useState(false);
    const page = useRef<ReadPage | undefined>(undefined);
    page.current = query.data;
    const waiting = useRef<Correction[]>([]);
    const busy = useRef(false);
    const [going, setGoing] = useState(false);

    const put = useCallback(
        (next: ReadPage) => {
            page.current = next;
            client.setQueryData(keyOf('/photos/{photo}/reading', at({ photo })), next);
        },
        [client, photo],
    );
    const send = useCallback(
        async (undo: boolean) => {
            if (busy.current || page.current === undefined) return;
            busy.current = true;
            setGoing(true);
            try {
                do {
                    const more = undo ? [] : waiting.current.splice(0, 40);
                    put(
                        await ask('put', '/photos/{photo}/corrections', {
                            ...at({ photo }),
                            body: { revision: page.current.revision, undo, more },
                        }),
                    );
                } while (!undo && waiting.current.length > 0);
                setError(null);
            } catch (reason) {
                const theirs = standing<'put', '/photos/{photo}/corrections'>(reason);
                waiting.current = [];
                if (theirs === null) setError(reason);
                else put(theirs);
                setOvertaken(theirs !== null);
            } finally {
                busy.current = false;
                setGoing(false);
                // What was pressed while a step was taken back.
                if (waiting.current.length > 0) void send(false);
            }
        },
        [photo, put],
    );
    const correct = useCallback(
        (...more: Correction[]) => {
            waiting.current.push(...more);
            setOvertaken(false);
            void send(false);
        },
        [send],
    );
    const undo = useCallback(() => {
        if ((page.current?.corrections ?? 0) > 0) void send(true);
    }, [send]);
    return { query, page: query.data, correct, undo, error, overtaken, going };
}

export type Looking = ReturnType<typeof useLook>;
