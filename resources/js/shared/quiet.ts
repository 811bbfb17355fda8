/** A small button beside a line of text: take back, remove, change. */
export const QUIET = { size: 'compact-xs', variant: 'subtle', c: 'var(--ink)' } as const;
