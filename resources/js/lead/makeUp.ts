import type { Api } from '../api';

export type LedLesson = Api['LedLessonResource'];
export type Learning = Api['LearningResource'];
type Stage = Learning['stages'][number];

/** A step as it is put together; its voice goes with it once it is saved. */
export interface DraftStep extends Omit<Api['LedStepResource'], 'id' | 'sign' | 'takes'> {
    /** Of what was saved before. */
    id: number | null;
    /** Of this page alone, for lists. */
    key: string;
    /** Recorded just now: a data address; null takes away what was there, undefined leaves it. */
    voice?: string | null;
}

let last = 0;
const newKey = () => `step ${last++}`;

/** A step of a stage over bars of its page; all of them where none of its own is chosen. */
export function stepOf(learning: Learning, stage: Stage, part: number | null): DraftStep {
    const all = stage.bars;
    const bars = part === null ? undefined : all[part];
    const first = bars?.first ?? Math.min(...all.map((one) => one.first));
    const to = bars?.last ?? Math.max(...all.map((one) => one.last));
    const has = all.length > 0;
    const whole = all.length === 1 ? all[0]?.label : undefined;
    return {
        key: newKey(),
        id: null,
        stageId: stage.id,
        learningId: has ? learning.id : null,
        first: has ? first : null,
        last: has ? to : null,
        hand: stage.hand,
        tempo: stage.tempo,
        words: stage.instruction.slice(0, 300),
        halfMinutes: Math.min(40, Math.max(1, Math.round(2 * stage.minutes))),
        where: has ? `${learning.title}, ${bars?.label ?? whole ?? ''}`.replace(/, $/, '') : learning.title,
        hasVoice: false,
    };
}

/** A step with the teacher’s own words alone. */
export const ownWords = (): DraftStep => ({
    key: newKey(),
    id: null,
    stageId: null,
    learningId: null,
    first: null,
    last: null,
    hand: null,
    tempo: null,
    words: '',
    halfMinutes: 2,
    where: '',
    hasVoice: false,
});

/** What was saved before, to be changed. */
export function draftOf(lesson: LedLesson): DraftStep[] {
    return lesson.steps.map(({ takes: _, sign: __, ...step }) => ({ ...step, key: newKey() }));
}

/** What is sent of a draft. */
export function requestOf(title: string, steps: readonly DraftStep[]): Api['LedLessonRequest'] {
    return {
        title,
        steps: steps.map(({ key: _, where: __, voice: ___, hasVoice: ____, ...step }) => step),
    };
}

/** A step one place up or down. */
export function moved<T>(all: readonly T[], from: number, by: 1 | -1): T[] {
    const next = [...all];
    const [one] = next.splice(from, 1);
    if (one !== undefined) next.splice(from + by, 0, one);
    return next;
}
