import { useEffect } from 'react';
import { ApiError, type Deferred, send } from '../api';

const RETRY = 10_000;

/**
 * Sends one thing that waits.
 * @param told told what is answered
 * @returns false when the server refuses the thing itself; rejects when it may be taken another time
 */
export async function sent(
    waiting: Deferred,
    token?: string,
    told: (answer: unknown) => void = () => undefined,
): Promise<boolean> {
    try {
        told(await send(waiting, token));
        return true;
    } catch (error) {
        if (error instanceof ApiError && [404, 422].includes(error.status)) return false;
        throw error;
    }
}

/** Sends what waits: at once, when the connection is back, and every now and then. */
export function useResend(isWaiting: () => boolean, send: () => void): void {
    useEffect(() => {
        const again = () => {
            if (isWaiting()) send();
        };
        again();
        window.addEventListener('online', again);
        const timer = setInterval(again, RETRY);
        return () => {
            window.removeEventListener('online', again);
            clearInterval(timer);
        };
    }, [isWaiting, send]);
}
