<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** How one gets to a note from the last one of the same hand (intervallic reading, trade 3.5). */
final readonly class Move
{
    public const HELD = 'held';

    /** @param int|null $steps letter names up (positive) or down; null at the hand's first note */
    public static function of(?int $steps): string
    {
        if ($steps === null) {
            return 'start';
        }
        if ($steps === 0) {
            return 'repeat';
        }
        $direction = $steps > 0 ? 'up' : 'down';

        return match (abs($steps)) {
            1 => "step {$direction}",
            2 => "skip {$direction}",
            default => "leap {$direction} ".self::interval(abs($steps)),
        };
    }

    private static function interval(int $steps): string
    {
        $number = $steps + 1;
        $ending = match (true) {
            $number % 100 >= 11 && $number % 100 <= 13 => 'th',
            $number % 10 === 1 => 'st',
            $number % 10 === 2 => 'nd',
            $number % 10 === 3 => 'rd',
            default => 'th',
        };

        return $number.$ending;
    }
}
