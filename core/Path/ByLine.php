<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Pattern\LineLetters;
use Nasturtium\Core\Practice\Planning\WarmUpTime;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Piece;

/**
 * A page whose stages take over half a usual day is learnt line by line: each line with its own preparation, the playing of
 * the next after that of the line before (trade 11.9).
 */
final readonly class ByLine
{
    /** Lines that are asked at once, beyond those that passed. */
    public const AHEAD = 3;

    /** @param int $half half minutes that a stage may take at most, to be planned whole */
    private function __construct(private Piece $piece, private TempoLadder $ladder, private int $half) {}

    /**
     * @param  int  $usualDay  half minutes
     * @param  int  $warmUp  half minutes of the warm-up, where the day has room for it
     */
    public static function on(Piece $piece, TempoLadder $ladder, int $usualDay, int $warmUp): self
    {
        return new self($piece, $ladder, intdiv($usualDay - WarmUpTime::onDay($usualDay, $warmUp), 2));
    }

    /** Whether a stage of the page takes so long that the page goes by lines; what is done on the whole page never does. */
    public function isTooLong(StageKind $kind, TaskTimes $times, int $chunks): bool
    {
        return count($this->piece->lines()) > 1 && $chunks > 1 && ! $kind->isPreparation() && $times->first > $this->half;
    }

    /** Preparation goes with the lines; of playing what is done on several places. */
    public function divides(StageKind $kind, int $chunks): bool
    {
        return ! $kind->isGlance() && ($kind->isPreparation() || $chunks > 1);
    }

    /**
     * @param  list<array{int, int}>  $ranges  first and last index of a measure, of the stage
     * @param  ?int  $tempo  beats a minute; null for naming
     * @return list<LinePart> the lines on which it has something
     */
    public function parts(StageKind $kind, array $ranges, int $repetitions, ?int $tempo): array
    {
        $of = $kind->isPreparation() ? $this->differentLines() : $this->byLine($ranges);

        return array_map(fn (int $line, array $on): LinePart => new LinePart($line, count($of), $on, $tempo === null
            ? TaskTimes::naming($this->heads(...$on[0]))
            : TaskTimes::ofBars($this->piece, $on, $kind->taskClass(), $repetitions, $kind->tempi($tempo, $this->ladder))), array_keys($of), $of);
    }

    /** @return array<int, non-empty-list<array{int, int}>> each line by its number, but those that are an earlier one again */
    private function differentLines(): array
    {
        $letters = LineLetters::of($this->piece);
        $lines = [];
        foreach ($this->piece->lines() as $at => $line) {
            if (array_search($letters[$at], $letters, true) === $at) {
                $lines[$at + 1] = [[$line->from, $line->to]];
            }
        }

        return $lines;
    }

    /**
     * @param  list<array{int, int}>  $ranges
     * @return array<int, non-empty-list<array{int, int}>> those that begin on each line, by its number
     */
    private function byLine(array $ranges): array
    {
        $lines = [];
        foreach ($this->piece->lines() as $at => $line) {
            foreach ($ranges as $range) {
                if ($range[0] >= $line->from && $range[0] <= $line->to) {
                    $lines[$at + 1][] = $range;
                }
            }
        }

        return $lines;
    }

    private function heads(int $from, int $to): int
    {
        $heads = 0;
        foreach (array_slice($this->piece->measures, $from, $to - $from + 1) as $measure) {
            foreach ($measure->events() as $event) {
                $heads += $event->isStruck() ? count($event->notes) : 0;
            }
        }

        return $heads;
    }
}
