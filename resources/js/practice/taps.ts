/** How taps went, and how many milliseconds each strike was late (early where negative; 0 in time). */
export interface TapVerdict {
    result: 'steady' | 'uneven' | 'too few' | 'too many' | 'too fast' | 'too slow';
    off: number[];
}

/** An eighth of a beat early or late is heard; the whole may be a fifth faster or slower. */
const OFF = 8;
const FREE = 20;

/** To the nearest whole number, halves away from zero. */
function divided(over: bigint, under: bigint): number {
    const size = over < 0n ? -over : over;
    return Number((2n * size + under) / (2n * under)) * (over < 0n ? -1 : 1);
}

/**
 * Judges taps against their own steady beat, the straight line nearest to them: the same as the core does, to the
 * millisecond (`core/Drill/TapJudge.php`).
 * @param taps whole milliseconds from the first beat
 */
export function judge({ beat, at }: { beat: number; at: readonly number[] }, taps: readonly number[]): TapVerdict {
    if (taps.length !== at.length) return { result: taps.length < at.length ? 'too few' : 'too many', off: [] };
    const n = BigInt(at.length);
    const expected = at.map(BigInt);
    const struck = taps.map(BigInt);
    const sum = (all: bigint[]) => all.reduce((whole, one) => whole + one, 0n);
    const [sumAt, sumTaps] = [sum(expected), sum(struck)];
    const over = sum(expected.map((one, i) => n * one * (struck[i] ?? 0n) - one * sumTaps));
    const under = sum(expected.map((one) => n * one * one - one * sumAt));
    // One strike alone has no beat of its own.
    if (under === 0n) return { result: 'steady', off: at.map(() => 0) };
    const off = expected.map((one, i) =>
        divided(under * (n * (struck[i] ?? 0n) - sumTaps) - over * (n * one - sumAt), n * under),
    );
    const percent = divided(100n * over, under);
    const window = Math.floor(beat / OFF);
    const heard = off.map((by) => (Math.abs(by) > window ? by : 0));
    if (percent < 100 - FREE) return { result: 'too fast', off: heard };
    if (percent > 100 + FREE) return { result: 'too slow', off: heard };
    return { result: heard.some((by) => by !== 0) ? 'uneven' : 'steady', off: heard };
}
