import type { Api } from '../api';

export type Run = Api['LeadResource'];
export type Step = Api['LeadStepResource'];
export type Phrase = Api['LeadPhraseResource'];

/** The bars of a step, with how they sound. */
export function phraseOf(run: Run, step: Step | undefined): Phrase | undefined {
    if (step?.pieceId == null) return undefined;
    return run.phrases.find(
        (one) => one.pieceId === step.pieceId && one.first === step.first && one.last === step.last,
    );
}

/** What comes where it went wrong stands behind the step; each time anew. */
export function withAgain(steps: readonly Step[], at: number): Step[] {
    const again = steps[at]?.again ?? [];
    return [...steps.slice(0, at + 1), ...again, ...steps.slice(at + 1)];
}

/** Milliseconds to read some words. */
export const timeToRead = (words: string) => Math.max(1_200, 330 * words.split(' ').length);
