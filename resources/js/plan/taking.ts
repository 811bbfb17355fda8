import type { Week } from '../api';
import { change, lock, move, remove } from './planning';
import { leftOf, rowsOf } from './rows';
import type { WeekInHand } from './useWeek';

/** A card that is taken: a task on a day, or one that has none. */
export interface Taken {
    id: number;
    date: string | null;
}

/** What is dragged from elsewhere, a file or a text, is no card. */
export const CARD = 'application/x-nasturtium-card';

/** The card that was dragged, when it is one. */
export function takenFrom(text: string): Taken | null {
    try {
        const { id, date } = JSON.parse(text) as { id?: unknown; date?: unknown };
        return Number.isInteger(id) && (date === null || typeof date === 'string') ? { id: Number(id), date } : null;
    } catch {
        return null;
    }
}

/** Every mark in reading order: row by row, then the tasks without a day. */
export function cardsOf(week: Week | undefined): Taken[] {
    if (week === undefined) return [];
    const placed = rowsOf(week).flatMap((task) => [...task.dates].sort().map((date) => ({ id: task.id, date })));
    return [...placed, ...leftOf(week).map((task) => ({ id: task.id, date: null }))];
}

/** The mark under the hand, for dragging; a marked text or a picture is none. */
export function cardUnder(target: EventTarget): Taken | null {
    const mark = target instanceof HTMLElement ? target.closest<HTMLElement>('[data-task]') : null;
    if (mark?.dataset.task === undefined || mark.getAttribute('aria-pressed') === 'false') return null;
    return { id: Number(mark.dataset.task), date: mark.dataset.date ?? null };
}

/** What can be done to the card that is taken, by keys and by buttons alike. */
export function handling(
    { week, apply }: WeekInHand,
    today: string,
    taken: Taken | null,
    setTaken: (taken: Taken | null) => void,
) {
    const data = week.data;
    const open = data?.days.filter((day) => day.minutes > 0 && day.date >= today) ?? [];
    /** What stood on a day that is over stays there as it was. */
    const from = (date: string | null) => (date !== null && date < today ? null : date);
    const task = data?.tasks.find((one) => one.id === taken?.id) ?? null;
    const place = (to: string | null) =>
        taken && apply(move(taken.id, from(taken.date), to), () => setTaken({ id: taken.id, date: to }));
    const makeRoom = (id: number) => {
        const first = open[0];
        if (first !== undefined) apply(move(id, null, first.date), () => setTaken({ id, date: first.date }));
    };
    return {
        task,
        drop: (card: Taken, to: string | null) => {
            setTaken(card);
            if (card.date !== to) apply(move(card.id, from(card.date), to), () => setTaken({ id: card.id, date: to }));
        },
        step: (by: number) => {
            if (taken === null) return;
            const at = open.findIndex((day) => day.date === taken.date);
            const to = at < 0 ? open[by > 0 ? 0 : open.length - 1] : open[at + by];
            if (to !== undefined) place(to.date);
        },
        next: (by: number) => {
            const cards = cardsOf(data);
            const at = cards.findIndex((card) => card.id === taken?.id && card.date === taken?.date);
            setTaken(cards[(at + by + cards.length) % cards.length] ?? null);
        },
        also: () => {
            const free = open.find((day) => !(task?.dates.includes(day.date) ?? true));
            if (taken !== null && free !== undefined) apply(move(taken.id, null, free.date));
        },
        /** A task that did not fit gets a day, and the rest gives way. */
        makeRoom,
        /** For the task that is taken, or else the first that did not fit. */
        roomForNext: () => {
            const waiting = data === undefined ? [] : leftOf(data);
            const next = waiting.find((one) => one.id === taken?.id) ?? waiting[0];
            if (next !== undefined) makeRoom(next.id);
        },
        lock: () => taken?.date != null && apply(lock(taken.id, taken.date)),
        takeOff: () => from(taken?.date ?? null) !== null && place(null),
        star: () => task && apply(change(task.id, { starred: !task.starred })),
        remove: () => taken && apply(remove(taken.id), () => setTaken(null)),
    };
}
