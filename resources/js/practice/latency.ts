/** How late a tap is told on this device, in milliseconds: the way of the sound to the ear and of the touch to the page. */
const NAME = 'nasturtium.latency';

/** More is no latency, but somebody who taps beside the clicks. */
const MOST = 400;

/** The first taps find the beat. */
const FINDING = 2;

export function latency(): number | null {
    try {
        const kept = localStorage.getItem(NAME);
        return kept === null || !Number.isInteger(Number(kept)) ? null : Number(kept);
    } catch {
        return null;
    }
}

export function keepLatency(milliseconds: number): void {
    try {
        localStorage.setItem(NAME, String(milliseconds));
    } catch {
        // It is measured again next time.
    }
}

/**
 * What taps along with clicks say of it: the middle one of how late they were.
 * @param taps milliseconds from the first click
 * @returns null where they were too few or too far off
 */
export function measured(taps: readonly number[], beat: number, clicks: number): number | null {
    const late = Array.from({ length: clicks }, (_, i) => {
        const off = taps.map((tap) => tap - i * beat).filter((by) => Math.abs(by) <= beat / 2);
        return off.sort((a, b) => Math.abs(a) - Math.abs(b))[0];
    })
        .slice(FINDING)
        .filter((by) => by !== undefined)
        .sort((a, b) => a - b);
    const middle = late[Math.floor(late.length / 2)];
    return late.length < clicks / 2 || middle === undefined || Math.abs(middle) > MOST ? null : Math.max(0, middle);
}
