<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** What is proposed when a stage is stuck: three lessons without a pass (trade 12.4). The teacher chooses. */
enum Relief: string
{
    case Smaller = 'smaller';
    case Slower = 'slower';
    case Rest = 'rest';

    /** Lessons on a stage without a pass. */
    public const STUCK = 3;

    /** Rungs down at once. */
    private const RUNGS = 2;

    public function words(): string
    {
        return match ($this) {
            self::Smaller => 'smaller pieces',
            self::Slower => 'a slower tempo',
            self::Rest => 'a rest from the page',
        };
    }

    /**
     * @param  list<array{int, int}>  $ranges  first and last index of a measure
     * @return list<array{int, int}> halves of each, down to single bars
     */
    public static function halves(array $ranges): array
    {
        $halves = [];
        foreach ($ranges as [$first, $last]) {
            $middle = intdiv($first + $last, 2);
            array_push($halves, ...$first === $last ? [[$first, $last]] : [[$first, $middle], [$middle + 1, $last]]);
        }

        return $halves;
    }

    /** Two rungs down. */
    public static function slower(int $tempo): int
    {
        for ($rung = 0; $rung < self::RUNGS; $rung++) {
            $tempo = TempoLadder::downFrom($tempo);
        }

        return $tempo;
    }
}
