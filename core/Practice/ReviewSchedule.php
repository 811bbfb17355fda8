<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** A signed-off page comes back after 1, 2, 4 and 8 weeks, then on request; one that fails then comes back after 4 (trade 12.3). */
final readonly class ReviewSchedule
{
    private const WEEKS = [1, 2, 4, 8];

    /**
     * @param  int  $step  reviews passed since it was signed off
     * @param  int  $idleDays  since it was last played
     */
    public static function isDue(int $step, int $idleDays): bool
    {
        return $idleDays >= (self::days()[$step] ?? INF);
    }

    /** @return list<int> the days it rests before each review */
    public static function days(): array
    {
        return array_map(static fn (int $weeks): int => 7 * $weeks, self::WEEKS);
    }

    /**
     * Where the reviews heard so far lead: a pass goes on until there are no more intervals, a failed review one interval back.
     *
     * @param  list<bool>  $passed  in the order they were heard
     */
    public static function after(array $passed): int
    {
        $onRequest = count(self::WEEKS);

        return array_reduce($passed, static fn (int $step, bool $pass): int => $pass ? min($onRequest, $step + 1) : max(0, min($onRequest - 1, $step) - 1), 0);
    }
}
