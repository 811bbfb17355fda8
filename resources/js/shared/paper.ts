import type { Api } from '../api';

/** What of a sheet of paper is printed on, in millimetres, and what a printer calls it. */
export const PAPER: Record<Api['Paper'], { size: string; width: number; height: number }> = {
    a4: { size: 'A4', width: 190, height: 276 },
    letter: { size: 'letter', width: 196, height: 258 },
};
