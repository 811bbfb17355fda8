import type { Api } from '../api';
import { t } from '../text';

type Photo = Pick<Api['PhotoResource'], 'state' | 'step' | 'done' | 'of'>;

/** Where each step begins and ends, of a hundred: about the time that it takes. */
const STEPS: Record<string, { from: number; to: number; says: string }> = {
    opening: { from: 5, to: 20, says: t('Opening the picture…') },
    staves: { from: 20, to: 55, says: t('Looking for the staves…') },
    lines: { from: 55, to: 90, says: t('Reading the notes…') },
    words: { from: 90, to: 98, says: t('Reading the title…') },
};

/** How far a picture is, of a hundred, and in words. */
export function progressOf({ state, step, done, of }: Photo): { share: number; says: string } {
    const at = STEPS[step];
    if (state === 'waiting' || at === undefined) return { share: 3, says: t('Waiting its turn…') };
    return { share: Math.round(at.from + ((at.to - at.from) * Math.min(done, of)) / Math.max(1, of)), says: at.says };
}

/** Whether the server is still at it. */
export const isGoingOn = (photo: Photo): boolean => photo.state === 'waiting' || photo.state === 'reading';
