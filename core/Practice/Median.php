<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** The middle one of some numbers. */
final readonly class Median
{
    /** @param list<int> $numbers in any order; of an even number the upper middle one (trade 10.1) */
    public static function of(array $numbers): ?int
    {
        sort($numbers);

        return $numbers[intdiv(count($numbers), 2)] ?? null;
    }

    /** @param list<int> $numbers in any order; of an even number the mean of the two middle ones, rounded down */
    public static function between(array $numbers): ?int
    {
        sort($numbers);
        $half = intdiv(count($numbers), 2);
        $upper = $numbers[$half] ?? null;

        return $upper === null || count($numbers) % 2 === 1 ? $upper : intdiv(($numbers[$half - 1] ?? $upper) + $upper, 2);
    }
}
