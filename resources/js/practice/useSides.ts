import { useCallback, useState } from 'react';
import type { Api } from '../api';
import { SessionRun } from './run';
import type { CardData, Deck, Verdict } from './useSession';

/** Cards a side. */
export const SIDE = 10;

/** Nobody is timed here; the run wants a time, and is kept nowhere. */
const UNTIMED = 0;

interface Stand {
    side: 0 | 1;
    /** Cards each side has had. */
    done: [number, number];
    card: CardData | null;
    /** Missed by the other side, for each side. */
    passed: [CardData[], CardData[]];
}

const other = (side: 0 | 1): 0 | 1 => (side === 0 ? 1 : 0);

/** Two sides in turns; a card that one misses is the next of the other. Nothing of it counts as an answer. */
export function useSides(rooms: [Api['RoomResource'], Api['RoomResource']], kind: Deck['kind']) {
    const [decks] = useState(() =>
        rooms.map((room) => room.decks.find((one) => one.kind === kind && one.taskId === null)),
    );
    // Two sides with the cards of one student have one run, so that no side has what the other has just seen.
    const [runs] = useState(() => {
        const [first, second] = decks.map((deck) => deck?.sessions[0] && new SessionRun(deck.sessions[0]));
        return rooms[0].studentId === rooms[1].studentId ? [first, first] : [first, second];
    });
    const draw = useCallback(
        (side: 0 | 1, passed: Stand['passed']): CardData | null =>
            passed[side][0] ?? decks[side]?.cards.find((card) => card.id === runs[side]?.next()) ?? null,
        [decks, runs],
    );
    const [stand, setStand] = useState<Stand>(() => ({
        side: 0,
        done: [0, 0],
        card: draw(0, [[], []]),
        passed: [[], []],
    }));
    const [verdict, setVerdict] = useState<Verdict | null>(null);
    const answer = useCallback((said: Verdict) => setVerdict((before) => before ?? said), []);
    const go = useCallback(() => {
        const { side, card } = stand;
        if (card === null || verdict === null) return;
        const passed: Stand['passed'] = [[...stand.passed[0]], [...stand.passed[1]]];
        // What came from the other side does not go back.
        if (passed[side][0]?.id === card.id) passed[side].shift();
        else {
            runs[side]?.answer(card.id, { right: verdict.right, milliseconds: UNTIMED });
            if (!verdict.right) passed[other(side)].push(card);
        }
        const done: Stand['done'] = [stand.done[0] + (side === 0 ? 1 : 0), stand.done[1] + (side === 1 ? 1 : 0)];
        const next = other(side);
        const isOver = done[0] >= SIDE && done[1] >= SIDE;
        setVerdict(null);
        setStand({ side: next, done, passed, card: isOver ? null : draw(next, passed) });
    }, [stand, verdict, runs, draw]);
    /** The other side has missed it before: then it is told how it is found. */
    const isPassed = stand.card !== null && stand.passed[stand.side][0]?.id === stand.card.id;
    return { ...stand, verdict, answer, go, isPassed };
}
