import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { type Api, ApiError, ask } from '../shared/api';
import { flush, post, type Tick, takeBack, waiting } from './outbox';

export type HomeDay = Api['HomeDayResource'];

const dayName = (token: string) => `nasturtium.day.${token.slice(0, 12)}`;
const RETRY = 15_000;

function keptDay(token: string): HomeDay | undefined {
    try {
        return (JSON.parse(localStorage.getItem(dayName(token)) ?? 'null') as HomeDay | null) ?? undefined;
    } catch {
        return undefined;
    }
}

/** Today's tasks by a family link, kept for when there is no connection, and the ticks that wait to be sent. */
export function useHome(token: string) {
    const client = useQueryClient();
    const [ticks, setTicks] = useState<Tick[]>(() => waiting(token));
    const [refused, setRefused] = useState(0);
    const day = useQuery({
        queryKey: ['home', token],
        queryFn: async () => {
            const fresh = await ask<HomeDay>('GET', '/home/day', undefined, token);
            localStorage.setItem(dayName(token), JSON.stringify(fresh));
            return fresh;
        },
        initialData: () => keptDay(token),
        initialDataUpdatedAt: 0,
        networkMode: 'always',
        retry: false,
    });
    const send = useCallback(async () => {
        const lost = await flush(token, async ({ taskId, ...tick }) => {
            try {
                await ask('PUT', `/home/tasks/${taskId}/practice`, tick, token);
                return true;
            } catch (error) {
                // Only these are answers to the tick itself; anything else may be different when it is sent again.
                if (error instanceof ApiError && [404, 422].includes(error.status)) return false;
                throw error;
            }
        });
        setRefused((before) => before + lost.length);
        setTicks(waiting(token));
        await client.invalidateQueries({ queryKey: ['home', token] });
    }, [client, token]);
    useEffect(() => {
        const again = () => {
            if (waiting(token).length > 0) send();
        };
        again();
        window.addEventListener('online', again);
        const timer = setInterval(again, RETRY);
        return () => {
            window.removeEventListener('online', again);
            clearInterval(timer);
        };
    }, [send, token]);
    const tick = (of: Omit<Tick, 'clientKey'>) => {
        post(token, { ...of, clientKey: crypto.randomUUID() });
        setTicks(waiting(token));
        send();
    };
    const untick = async (taskId: number, date: string) => {
        takeBack(token, taskId, date);
        setTicks(waiting(token));
        await ask('DELETE', `/home/tasks/${taskId}/practice/${date}`, undefined, token).catch(() => undefined);
        await client.invalidateQueries({ queryKey: ['home', token] });
    };
    return { day, ticks, refused, tick, untick };
}
