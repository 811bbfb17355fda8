/** A week as it was kept, with the moment of this device's clock. */
export interface Kept<T> {
    week: T;
    at: number;
}

/**
 * The date where the student is. The server's clock counts, and this device's only for how long ago that was: a clock
 * that is wrong, or in another time zone, makes no difference.
 */
export function dateNow(kept: Kept<{ now: string; timezone: string }>, device = Date.now()): string {
    const now = Date.parse(kept.week.now) + Math.max(0, device - kept.at);
    return new Intl.DateTimeFormat('en-CA', { timeZone: kept.week.timezone, dateStyle: 'short' }).format(now);
}
