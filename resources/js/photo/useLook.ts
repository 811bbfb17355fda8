import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { ApiError, api, ask, at, standing } from '../api';
import type { Correction, ReadPage } from './doubts';
import { nextOf, type Step } from './steps';

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
 * What was read of a picture, and the corrections on their way: sent in the order they were pressed, those that come while
 * one is on its way together with the next.
 */
export function useLook(photo: number) {
    const query = useReading(photo);
    // The last answer; with it comes in one drawing that nothing is on its way any more.
    const [answer, setAnswer] = useState<ReadPage | null>(null);
    const [error, setError] = useState<unknown>(null);
    const [overtaken, setOvertaken] = useState(false);
    const [going, setGoing] = useState(false);
    const page = useRef<ReadPage | undefined>(undefined);
    page.current = answer ?? query.data;
    const waiting = useRef<Step[]>([]);
    const sending = useRef<Promise<boolean> | null>(null);
    const put = (next: ReadPage) => {
        page.current = next;
        setAnswer(next);
    };
    const sendAll = async (): Promise<boolean> => {
        setGoing(true);
        let taken: Step[] = [];
        try {
            while (waiting.current.length > 0 && page.current !== undefined) {
                const next = nextOf(waiting.current);
                taken = next.undo ? ['undo'] : next.more;
                const body = { revision: page.current.revision, ...next };
                put(await ask('put', '/photos/{photo}/corrections', { ...at({ photo }), body }));
            }
            setError(null);
            return true;
        } catch (reason) {
            const theirs = standing<'put', '/photos/{photo}/corrections'>(reason);
            // What the server did not get is sent again; what it refused is not.
            waiting.current = reason instanceof ApiError && reason.status < 500 ? [] : [...taken, ...waiting.current];
            if (theirs === null) setError(reason);
            else put(theirs);
            setOvertaken(theirs !== null);
            return false;
        } finally {
            sending.current = null;
            setGoing(false);
        }
    };
    const settled = () => {
        if (waiting.current.length > 0) sending.current ??= sendAll();
        return sending.current ?? Promise.resolve(true);
    };
    const press = (step: Step) => {
        waiting.current.push(step);
        setOvertaken(false);
        void settled();
    };
    return {
        query,
        page: page.current,
        error,
        overtaken,
        going,
        correct: (correction: Correction) => press(correction),
        undo: () => press('undo'),
        /** Sends what is left, and waits until all that was pressed is kept; false where it could not be. */
        settled,
    };
}

export type Looking = ReturnType<typeof useLook>;
