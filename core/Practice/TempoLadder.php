<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Piece;

/** From a start to a goal on the metronome's classic marks (handbook 9). */
final readonly class TempoLadder
{
    /** Up to, by. */
    private const STEPS = [[60, 2], [72, 3], [120, 4], [144, 6], [208, 8]];

    private const SLOWEST = 40;

    /** In quarter notes a minute, where the page says nothing. */
    private const USUAL_GOAL = 88;

    private const START = [60, 100];

    /**
     * @param  int  $from  beats a minute
     * @param  int  $goal  beats a minute
     */
    public function __construct(public int $from, public int $goal) {}

    /** In beats of the piece's time signature. No start given: 60 % of the goal on the nearest mark below. */
    public static function for(Piece $piece): self
    {
        $unit = $piece->meter()->unit;
        $goal = intdiv(($piece->tempo ?? self::USUAL_GOAL) * $unit, 4);
        $from = $piece->tempoFrom === null ? self::below(intdiv($goal * self::START[0], self::START[1])) : intdiv($piece->tempoFrom * $unit, 4);

        return new self(min($from, $goal), $goal);
    }

    /** @return list<int> every classic mark, slowest first */
    public static function marks(): array
    {
        $marks = [self::SLOWEST];
        foreach (self::STEPS as [$to, $by]) {
            for ($mark = end($marks) + $by; $mark <= $to; $mark += $by) {
                $marks[] = $mark;
            }
        }

        return $marks;
    }

    /** The nearest mark that is not faster; the slowest when none is. */
    public static function below(int $tempo): int
    {
        $found = self::SLOWEST;
        foreach (self::marks() as $mark) {
            $found = $mark <= $tempo ? $mark : $found;
        }

        return $found;
    }

    /** One rung down from a tempo. */
    public static function downFrom(int $tempo): int
    {
        return self::below($tempo - 1);
    }

    /** @return list<int> from the start to the goal, both included */
    public function rungs(): array
    {
        $between = array_filter(self::marks(), fn (int $mark): bool => $mark > $this->from && $mark < $this->goal);

        return array_values(array_unique([$this->from, ...$between, $this->goal]));
    }
}
