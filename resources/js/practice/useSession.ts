import { useCallback, useEffect, useRef, useState } from 'react';
import type { Api } from '../api';
import { SessionRun } from './run';

export type CardData = Api['CardResource'];
export type Deck = Api['DeckResource'];
/** What was answered in a session, as it is sent. */
export interface Answers {
    studentId: number;
    session: string;
    kind: Deck['kind'];
    answers: { card: string; right: boolean; milliseconds: number; given: string; at: string }[];
}

/** After so many milliseconds without an answer nobody is there. */
const LONGEST = 15_000;

/** How long a right answer stays to be seen. */
const SEEN = 750;

export interface Verdict {
    right: boolean;
    /** What was answered, as the card names it. */
    given: string;
    /** Said in the place of the usual words. */
    words?: string;
}

interface Props {
    deck: Deck;
    date: string;
    studentId: number;
    save: (answers: Answers) => void;
}

/** Runs a session: the card that stands there, what was answered, and the end. */
export function useSession({ deck, date, studentId, save }: Props) {
    const session = deck.sessions.find((one) => one.date === date) ?? deck.sessions.at(-1);
    const [run] = useState(() => new SessionRun(session ?? EMPTY));
    const [id] = useState(() => crypto.randomUUID());
    const [card, setCard] = useState<CardData | null>(() => cardOf(deck, run.next()));
    const [verdict, setVerdict] = useState<Verdict | null>(null);
    const kept = useRef<Answers['answers']>([]);
    const began = useRef(performance.now());
    const drawn = useRef<number | null>(null);
    const saved = useRef(0);
    const keep = useCallback(() => {
        if (kept.current.length === saved.current) return;
        saved.current = kept.current.length;
        save({ studentId, session: id, kind: deck.kind, answers: kept.current });
    }, [save, studentId, id, deck.kind]);
    // A phone that is put away may never come back to this page.
    const wasAway = useAway(keep);
    // Whoever leaves before the end has answered all the same.
    useEffect(() => () => keep(), [keep]);

    const go = useCallback(() => {
        setVerdict(null);
        drawn.current = null;
        const isOver = performance.now() - began.current >= 1_000 * (session?.seconds ?? 0);
        const next = cardOf(deck, run.next(isOver));
        setCard(next);
        if (next === null) keep();
    }, [deck, run, session, keep]);
    const answer = useCallback(
        (said: Verdict, took?: number) => {
            if (card === null || verdict !== null) return;
            const milliseconds = Math.round(took ?? performance.now() - (drawn.current ?? performance.now()));
            setVerdict(said);
            if (milliseconds > LONGEST || wasAway()) {
                run.skip(card.id);
                return;
            }
            run.answer(card.id, { right: said.right, milliseconds });
            const given = said.given.slice(0, 40);
            kept.current = [
                ...kept.current,
                { card: card.id, right: said.right, milliseconds, given, at: new Date().toISOString() },
            ];
        },
        [card, verdict, run, wasAway],
    );
    const isRight = verdict?.right === true;
    useEffect(() => {
        if (!isRight) return;
        const timer = setTimeout(go, SEEN);
        return () => clearTimeout(timer);
    }, [isRight, go]);
    /** The card stands there: its time begins. */
    const isDrawn = useCallback(() => {
        drawn.current ??= performance.now();
        wasAway();
    }, [wasAway]);
    const spent = () => Math.min(1, (performance.now() - began.current) / (1_000 * (session?.seconds ?? 1)));
    return { run, card, verdict, answer, go, isDrawn, spent };
}

const cardOf = (deck: Deck, id: string | null) => deck.cards.find((card) => card.id === id) ?? null;

const EMPTY = {
    seconds: 0,
    learning: [],
    joining: [],
    known: [],
    share: 0,
    before: [],
    pairs: [],
    returns: [],
    closing: 0,
    enough: { answers: 10, right: 90, within: 3_000, join: 5 },
};

/** Whether the screen was hidden since it was asked last. */
function useAway(leave: () => void): () => boolean {
    const away = useRef(false);
    useEffect(() => {
        const look = () => {
            if (!document.hidden) return;
            away.current = true;
            leave();
        };
        document.addEventListener('visibilitychange', look);
        window.addEventListener('pagehide', leave);
        return () => {
            document.removeEventListener('visibilitychange', look);
            window.removeEventListener('pagehide', leave);
        };
    }, [leave]);
    return useCallback(() => {
        const was = away.current;
        away.current = document.hidden;
        return was;
    }, []);
}
