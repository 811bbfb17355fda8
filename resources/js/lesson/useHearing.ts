import { useState } from 'react';
import { type Api, api, type LessonCard, type LessonTask, at as placed, type Report } from '../api';
import { atBar, firstBar, type Pointed, step, stretch } from './pointed';
import { usePage, wordsAt } from './SlipBoard';
import type { LessonInHand, Mark } from './useLesson';

/** The task of a card that stands for it: of the stage that is heard, or else the first with bars. */
export function taskOf(card: LessonCard, heardId: number | null): LessonTask | null {
    const taskId = card.steps.find((one) => one.stageId === heardId)?.taskId;
    const withBars = card.tasks.find((task) => task.bars.length > 0);
    return card.tasks.find((task) => task.id === taskId) ?? withBars ?? card.tasks[0] ?? null;
}

/** The next card that has no mark, after one or from the start; null when every card has one. */
export function nextOpen(cards: readonly LessonCard[], after: string): string | null {
    const from = cards.findIndex((card) => card.key === after);
    const ahead = [...cards.slice(from + 1), ...cards.slice(0, from + 1)];
    return ahead.find((card) => card.mark === null && card.key !== after)?.key ?? null;
}

/**
 * Which card is heard next, which one a slip belongs to, and where on the music is pointed. A mark goes on to the next
 * card; a slip belongs to the card marked last until another is marked or chosen.
 */
export function useHearing(hand: LessonInHand) {
    const data = hand.lesson.data;
    const cards = data?.cards ?? [];
    const open = cards.filter((card) => !card.folded);
    const { chosen, marked, shown, ...choice } = useChoice(open);
    const [heard, setHeard] = useState<Record<string, number>>({});
    const heardOf = (card: LessonCard) => heard[card.key] ?? card.heardId;
    const target = marked ?? chosen;
    const board = shown ?? target;
    const task = board === null ? null : taskOf(board, heardOf(board));
    const page = usePage(board?.pieceId ?? null, data?.studentId);
    const { at, letGo, ...pointing } = usePointing(task, page.data?.report);
    const climb = useClimb(task, hand);
    const choose = (key: string) => {
        choice.choose(key);
        letGo();
    };
    const give = (card: LessonCard | null, mark: Mark, stageId?: number | null) => {
        if (card === null) return;
        hand.mark(card, mark, stageId ?? (card.steps.length > 0 ? heardOf(card) : null));
        choice.go(card, mark);
        letGo();
    };
    return {
        cards: open,
        folded: cards.filter((card) => card.folded),
        chosen,
        target,
        board,
        task,
        page,
        at,
        ...pointing,
        choose,
        give,
        heardOf,
        climb,
        go: (by: number) => {
            const index = open.findIndex((card) => card.key === (chosen ?? target)?.key);
            const next = open[(index + by + open.length) % Math.max(1, open.length)];
            if (next !== undefined) choose(next.key);
        },
        /** The stage of a card that is heard instead, by its place from 0. */
        toStep(card: LessonCard | null, index: number) {
            const step = card?.steps[index];
            if (card !== null && step !== undefined) setHeard({ ...heard, [card.key]: step.stageId });
        },
        noteAt: (of: number, name: Api['Slip'], measure: number) =>
            noteAt(hand, of, name, atBar(measure), page.data?.report),
        slip(kind: Api['SlipKindResource']) {
            if (target === null) return;
            const of = taskOf(target, heardOf(target));
            if (of === null || of.bars.length === 0) return;
            const isHere = board?.key === target.key;
            const where = isHere ? at : atBar(firstBar(of));
            choice.show(target.key);
            hand.addSlip(of, kind, where, wordsAt(isHere ? page.data?.report : undefined, where));
        },
    };
}

/** A slip that was heard at home, at a bar of one of the tasks of the page on the board. */
function noteAt(hand: LessonInHand, taskId: number, name: Api['Slip'], where: Pointed, report?: Report) {
    const { slipKinds = [], cards = [] } = hand.lesson.data ?? {};
    const kind = slipKinds.find((one) => one.kind === name);
    const task = cards.flatMap((card) => card.tasks).find((one) => one.id === taskId);
    if (kind !== undefined && task !== undefined) hand.addSlip(task, kind, where, wordsAt(report, where));
}

export type Hearing = ReturnType<typeof useHearing>;

/** Which card is heard next, which was marked last, and which one the board shows, by their keys. */
function useChoice(cards: readonly LessonCard[]) {
    const [choice, setChoice] = useState<{ chosen: string | null; marked: string | null; shown: string | null } | null>(
        null,
    );
    const of = (key: string | null | undefined) => cards.find((card) => card.key === key) ?? null;
    const first = cards.find((card) => card.mark === null)?.key ?? null;
    return {
        chosen: of(choice === null ? first : choice.chosen),
        marked: of(choice?.marked),
        shown: of(choice?.shown),
        choose: (key: string) => setChoice({ chosen: key, marked: null, shown: key }),
        /** After a mark: on to the next card; the board stays for a slip, unless it passed. */
        go(card: LessonCard, mark: Mark) {
            if (mark === null) setChoice({ chosen: card.key, marked: null, shown: card.key });
            else {
                const next = nextOpen(cards, card.key);
                setChoice({ chosen: next, marked: card.key, shown: mark === 'pass' ? (next ?? card.key) : card.key });
            }
        },
        show: (key: string) =>
            setChoice((before) => ({ chosen: before?.chosen ?? first, marked: before?.marked ?? null, shown: key })),
    };
}

/** Where on the music is pointed: the first bar of the task, until it is pointed elsewhere. */
function usePointing(task: LessonTask | null, report: Report | undefined) {
    const [pointed, point] = useState<Pointed | null>(null);
    const hasBars = task !== null && task.bars.length > 0;
    const at = pointed ?? atBar(hasBars ? firstBar(task) : 0);
    return {
        at,
        point,
        letGo: () => point(null),
        toBar: (by: number) => hasBars && report && point(step(at, by, report)),
        toBeat: (by: 1 | -1) => hasBars && report && point(stretch(at, by, report)),
    };
}

/** The tempo that was reached, a rung of the ladder up or down. */
function useClimb(task: LessonTask | null, hand: LessonInHand) {
    const rungs = useRungs(task);
    return (by: number) => {
        if (task === null || task.tempo === null) return;
        const now = task.tempoReached ?? task.tempo;
        const next = by > 0 ? rungs.find((rung) => rung > now) : rungs.findLast((rung) => rung < now);
        if (next !== undefined) hand.reached(task, { tempoReached: next });
    };
}

/** The tempi of the task's ladder, and those below it. */
function useRungs(task: LessonTask | null): number[] {
    const ladders = api.useQuery('get', '/learnings/{learning}/ladders', placed({ learning: task?.learningId ?? 0 }), {
        enabled: task !== null && task.learningId !== null,
        staleTime: 60_000,
    });
    return ladders.data?.find((ladder) => ladder.hand === (task?.hand ?? ''))?.marks ?? [];
}
