import { type RefObject, useCallback, useEffect, useRef, useState } from 'react';
import { type Api, standing } from '../api';
import { type Desk, sendDraft } from './desk';
import { dropDraft, keepDraft, type Start, type Typed } from './draft';

type Server = Api['DraftResource'];

const PAUSE = 700;

const isOnlyHere = (start: Start): boolean => start.from === 'here' || start.from === 'brought';

/** Whether what is typed is on the server, on its way, only here, or against what another window kept. */
export type Kept = 'kept' | 'going' | 'here' | 'apart';

/**
 * Keeps what is typed as it is typed: at once in the browser, after a pause on the server.
 */
export function useDraft(place: string, desk: Desk, start: Start) {
    const [state, setState] = useState<Kept>(start.other !== null ? 'apart' : isOnlyHere(start) ? 'here' : 'kept');
    const [other, setOther] = useState<Server | null>(start.other);
    const revision = useRef(start.revision);
    const latest = useRef<Typed>({ text: start.text, label: start.label });
    const over = useRef(false);

    const inBrowser = useCallback(
        (ahead: boolean) => {
            if (!over.current) keepDraft(place, { ...latest.current, revision: revision.current, ahead });
        },
        [place],
    );
    const send = useCallback(async () => {
        const sent = latest.current;
        setState('going');
        try {
            const answer = await sendDraft(desk, { ...sent, revision: revision.current });
            revision.current = answer.revision;
            const more = latest.current !== sent;
            inBrowser(more);
            if (!more) setState('kept');
        } catch (error) {
            const theirs = standing<'put', '/pages/{page}/draft'>(error);
            if (theirs !== null) setOther(theirs);
            setState(theirs === null ? 'here' : 'apart');
        }
    }, [desk, inBrowser]);
    const { timer, sending, plan } = useAfterPause(send, over);
    const keep = useCallback(
        (typed: Typed) => {
            latest.current = typed;
            inBrowser(true);
            setState((before) => (before === 'apart' ? before : 'here'));
            if (other === null) plan();
        },
        [inBrowser, other, plan],
    );
    /** What this window has stands, or what the other one has. */
    const settle = (mine: boolean): Typed => {
        revision.current = other?.revision ?? revision.current;
        if (!mine && other !== null) latest.current = { text: other.text, label: other.label };
        setOther(null);
        setState('here');
        inBrowser(mine);
        plan();
        return latest.current;
    };
    /** Nothing is kept any more: it is saved, or given up. */
    const end = useCallback(async () => {
        over.current = true;
        if (timer.current !== null) clearTimeout(timer.current);
        dropDraft(place);
        await sending.current;
    }, [place, timer, sending]);
    useSendingAgain(start, timer, plan, send);
    return { state, other, keep, settle, end };
}

/** Runs after a pause, one at a time, so that each knows the revision of the one before; not any more once it is over. */
function useAfterPause(run: () => Promise<void>, over: RefObject<boolean>) {
    const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
    const sending = useRef<Promise<void> | null>(null);
    const plan = useCallback(() => {
        if (timer.current !== null) clearTimeout(timer.current);
        timer.current = setTimeout(() => {
            sending.current = (sending.current ?? Promise.resolve()).then(() => {
                timer.current = null;
                return over.current ? undefined : run();
            });
        }, PAUSE);
    }, [run, over]);
    return { timer, sending, plan };
}

/** What is only here is sent when the window is back online; what waits is sent at once when it is left. */
function useSendingAgain(
    start: Start,
    timer: RefObject<ReturnType<typeof setTimeout> | null>,
    plan: () => void,
    send: () => Promise<void>,
) {
    useEffect(() => {
        if (isOnlyHere(start) && start.other === null) plan();
        // Back online, or back in the window: what is only here is sent.
        const again = () => timer.current === null && plan();
        window.addEventListener('online', again);
        return () => {
            window.removeEventListener('online', again);
            if (timer.current !== null) {
                clearTimeout(timer.current);
                void send();
            }
        };
    }, [plan, send, start, timer]);
}
