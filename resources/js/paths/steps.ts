import type { Api } from '../api';

export type Step = Api['PathStepResource'];

/** The list with one of its steps moved; unmoved where there is no place to go. */
export function moved(steps: readonly Step[], at: number, by: number): Step[] {
    const next = [...steps];
    const to = at + by;
    const step = next[at];
    if (step === undefined || to < 0 || to >= next.length) return next;
    next.splice(at, 1);
    next.splice(to, 0, step);
    return next;
}

/** A stage of the teacher's own, before she has said what it is. */
export const EMPTY_STEP: Step = {
    kind: 'own',
    name: '',
    sentence: '',
    passMark: '',
    petal: null,
    hand: null,
    usually: 'three in a row',
    chunks: 'line',
};
