import type { ReactNode } from 'react';
import type { Api } from '../api';

const LINE = { fill: 'none', stroke: 'currentColor', strokeWidth: 2, strokeLinecap: 'round' } as const;

/** A hand with its fingers up. */
const hand = <path d="M5 15v3c1 6 14 6 15 0V9M9 17V6m4 10V4m4 12V6M5 15v-3" {...LINE} />;

/** What is to be done, drawn: each sign stands for one thing. */
const PICTURES: Record<Api['TaskSign'], ReactNode> = {
    look: (
        <>
            <path d="M2 13c5-8 17-8 22 0-5 8-17 8-22 0z" {...LINE} />
            <circle cx="13" cy="13" r="3.5" fill="currentColor" />
        </>
    ),
    tap: (
        <>
            <path d="M3 21h20M8 21v-4M18 21v-4" {...LINE} />
            <path d="M13 3v9m-4-4 4 4 4-4" {...LINE} />
        </>
    ),
    say: (
        <>
            <path d="M4 4h18v12H12l-5 5v-5H4z" {...LINE} strokeLinejoin="round" />
            <text x="13" y="14" fontSize="10" fontWeight="700" textAnchor="middle" fill="currentColor">
                A
            </text>
        </>
    ),
    fingers: (
        <>
            {hand}
            <text x="13" y="20" fontSize="7" fontWeight="700" textAnchor="middle" fill="currentColor">
                1 5
            </text>
        </>
    ),
    hand,
    hands: <path d="M2 17v-6m4 5V6m4 11v-6M2 17c0 5 8 5 8 0m6 0v-6m4 5V6m4 11v-6m-8 6c0 5 8 5 8 0" {...LINE} />,
    listen: (
        <>
            <path d="M8 22c-3-2-2-6-3-9C4 5 20 2 20 11c0 6-5 5-5 9 0 3-4 4-7 2z" {...LINE} />
            <path d="M10 12c0-4 6-4 6 0 0 2-3 2-3 5" {...LINE} />
        </>
    ),
    sing: (
        <>
            <circle cx="9" cy="19" r="3.5" fill="currentColor" />
            <path d="M12.5 19V5l8-2v6" {...LINE} />
        </>
    ),
    through: <path d="M3 13h18m-6-6 6 6-6 6" {...LINE} />,
    climb: <path d="M3 22h5v-5h5v-5h5V7h5" {...LINE} />,
    write: <path d="M4 22l1-5L18 4l4 4L9 21zM16 6l4 4" {...LINE} strokeLinejoin="round" />,
    again: <path d="M21 13a8 8 0 1 1-3-6m3-3v5h-5" {...LINE} />,
    'warm-up': (
        <>
            <circle cx="13" cy="13" r="5" fill="currentColor" />
            <path d="M13 2v3m0 16v3M2 13h3m16 0h3M5 5l2 2m12 12 2 2M5 21l2-2M19 7l2-2" {...LINE} />
        </>
    ),
    show: (
        <path d="M13 3l3 7 7 .6-5.3 4.7 1.7 7L13 18.5l-6.4 3.8 1.7-7L3 10.6 10 10z" {...LINE} strokeLinejoin="round" />
    ),
};

/** A picture of what a task asks for, for a child that does not read yet; the words beside it say the same. */
export function TaskPicture({ sign, size = 34 }: { sign: Api['TaskSign']; size?: number }) {
    return (
        <svg viewBox="0 0 26 26" width={size} height={size} aria-hidden="true" data-sign={sign}>
            {PICTURES[sign]}
        </svg>
    );
}
