<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Piece;

/**
 * From a start to a goal on the metronome's classic marks, or by a fixed step. What is slower than a metronome goes is
 * counted in halves of the beat, on the marks of those (trade 9.1).
 */
final readonly class TempoLadder
{
    /** Up to, by. */
    private const STEPS = [[60, 2], [72, 3], [120, 4], [144, 6], [208, 8]];

    private const SLOWEST = 40;

    /** In quarter notes a minute, where the page says nothing. */
    private const USUAL_GOAL = 88;

    private const START = [60, 100];

    /** Rungs up at once that nobody asks about (trade 9.4). */
    public const MOST_JUMP = 2;

    /** Failures in a row that lead a rung down. */
    private const FAILURES = 2;

    /**
     * @param  int  $from  beats a minute
     * @param  int  $goal  beats a minute
     * @param  ?int  $step  beats a minute from rung to rung; null for the classic marks
     */
    public function __construct(public int $from, public int $goal, public ?int $step = null)
    {
        if ($step !== null && $step < 1) {
            throw InvalidLadder::noStep($step);
        }
    }

    /** Of a page whose music is not typed. */
    public static function usual(): self
    {
        return new self(self::startOf(self::USUAL_GOAL), self::USUAL_GOAL);
    }

    /** In beats of the piece's time signature. No start given: 60 % of the goal on the nearest mark below. */
    public static function for(Piece $piece): self
    {
        $unit = $piece->meter()->unit;
        $goal = intdiv(($piece->tempo ?? self::USUAL_GOAL) * $unit, 4);
        $from = $piece->tempoFrom === null ? self::startOf($goal) : intdiv($piece->tempoFrom * $unit, 4);

        return new self(min($from, $goal), $goal);
    }

    private static function startOf(int $goal): int
    {
        return self::below(intdiv($goal * self::START[0], self::START[1]));
    }

    /** A metronome goes no slower: it ticks halves of the beat. */
    public static function isInHalves(int $tempo): bool
    {
        return $tempo < self::SLOWEST;
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

    /** The nearest mark that is not faster: of the beat, or of its half where the metronome has none; the slowest when none is. */
    public static function below(int $tempo): int
    {
        $found = intdiv(self::SLOWEST, 2);
        foreach (self::allMarks() as $mark) {
            $found = $mark <= $tempo ? $mark : $found;
        }

        return $found;
    }

    /** One rung down from a tempo. */
    public static function downFrom(int $tempo): int
    {
        return self::below($tempo - 1);
    }

    /** @return list<int> in beats, slowest first: those at which half beats are on a mark, then the marks of whole ones */
    private static function allMarks(): array
    {
        $halves = array_filter(self::marks(), static fn (int $mark): bool => $mark % 2 === 0 && $mark < 2 * self::SLOWEST);

        return [...array_map(static fn (int $mark): int => intdiv($mark, 2), $halves), ...self::marks()];
    }

    /** @return list<int> from the start to the goal, both included */
    public function rungs(): array
    {
        $marks = $this->step === null ? self::allMarks() : range($this->from, max($this->from, $this->goal), $this->step);
        $between = array_filter($marks, fn (int $mark): bool => $mark > $this->from && $mark < $this->goal);

        return array_values(array_unique([$this->from, ...$between, $this->goal]));
    }

    /** @return non-empty-list<int> the rungs of one day, from a tempo on; at the goal that alone */
    public function climbed(int $from): array
    {
        $rungs = [$from];
        while (count($rungs) < Attempts::RUNGS_A_DAY) {
            $rungs[] = $this->next($rungs[count($rungs) - 1], true);
        }

        return $rungs;
    }

    /** @return list<int> the rungs, and every mark below the start */
    public function marksToGoal(): array
    {
        return [...array_filter(self::allMarks(), fn (int $mark): bool => $mark < $this->from), ...$this->rungs()];
    }

    /** How many rungs lie from one tempo up to another, the last counted; none when it is not faster. */
    public function rungsUp(int $from, int $to): int
    {
        $marks = $this->step === null ? self::allMarks() : range(min($from, $this->from), max($to, $this->from), $this->step);

        return $to <= $from ? 0 : max(1, count(array_filter($marks, static fn (int $mark): bool => $mark > $from && $mark <= $to)));
    }

    /**
     * Where the ladder goes on: up a rung after the pass mark, down a rung after two failures, else the same again.
     *
     * @param  int  $at  the tempo it was last played at
     * @param  int  $failures  in a row, the last among them
     */
    public function next(int $at, bool $passed, int $failures = 0): int
    {
        if ($passed) {
            foreach ($this->rungs() as $rung) {
                if ($rung > $at) {
                    return $rung;
                }
            }

            return max($at, $this->goal);
        }
        if ($failures < self::FAILURES) {
            return $at;
        }
        $slower = array_filter($this->rungs(), static fn (int $rung): bool => $rung < $at);

        return match (true) {
            $slower !== [] => max($slower),
            $this->step === null => self::downFrom($at),
            default => max(min($at, self::SLOWEST), $at - $this->step),
        };
    }
}
