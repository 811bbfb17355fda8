<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** The middle one of some numbers; of an even number the upper middle one (trade 10.1). */
final readonly class Median
{
    /** @param list<int> $numbers in any order */
    public static function of(array $numbers): ?int
    {
        sort($numbers);

        return $numbers[intdiv(count($numbers), 2)] ?? null;
    }
}
