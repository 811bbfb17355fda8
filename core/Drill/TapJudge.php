<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/**
 * Judges taps against their own steady beat (trade 15.1, kind 8). The beat is the straight line that lies nearest to
 * the taps (least squares), so whoever taps all of it a little slower is right; exact to the millisecond. The browser
 * judges by the same rule (resources/js/practice/taps.ts), and both are held to the same taps.
 */
final readonly class TapJudge
{
    /** An eighth of a beat early or late is heard. */
    private const OFF = 8;

    /** Percent that the whole may be faster or slower. */
    private const FREE = 20;

    /**
     * @param  list<int>  $taps  milliseconds from the first beat, in their order; the device's latency was taken off
     * @return TapVerdict what each was, in the order of the rhythm
     */
    public static function judge(Taps $rhythm, array $taps): TapVerdict
    {
        $count = count($rhythm->at);
        if (count($taps) !== $count) {
            return new TapVerdict(count($taps) < $count ? TapResult::TooFew : TapResult::TooMany, []);
        }
        [$off, $percent] = self::offBeat($rhythm->at, $taps);
        $window = intdiv($rhythm->beat, self::OFF);

        return new TapVerdict(match (true) {
            $percent < 100 - self::FREE => TapResult::TooFast,
            $percent > 100 + self::FREE => TapResult::TooSlow,
            array_filter($off, static fn (int $by): bool => abs($by) > $window) !== [] => TapResult::Uneven,
            default => TapResult::Steady,
        }, array_map(static fn (int $by): int => abs($by) > $window ? $by : 0, $off));
    }

    /**
     * @param  non-empty-list<int>  $at
     * @param  list<int>  $taps  as many
     * @return array{list<int>, int} how far each is off its own beat, late ones positive; and how long the taps took, in percent
     */
    private static function offBeat(array $at, array $taps): array
    {
        $n = count($at);
        [$sumAt, $sumTaps] = [array_sum($at), array_sum($taps)];
        $over = 0;
        $under = 0;
        foreach ($at as $i => $expected) {
            $over += $n * $expected * $taps[$i] - $expected * $sumTaps;
            $under += $n * $expected * $expected - $expected * $sumAt;
        }
        if ($under === 0) {
            // One strike alone has no beat of its own.
            return [array_fill(0, $n, 0), 100];
        }
        $off = [];
        foreach ($at as $i => $expected) {
            $off[] = self::divided($under * ($n * $taps[$i] - $sumTaps) - $over * ($n * $expected - $sumAt), $n * $under);
        }

        return [$off, self::divided(100 * $over, $under)];
    }

    /** To the nearest whole number, halves away from zero. */
    private static function divided(int $over, int $under): int
    {
        return intdiv(2 * abs($over) + $under, 2 * $under) * ($over < 0 ? -1 : 1);
    }
}
