<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Pattern\LineLetters;
use Nasturtium\Core\Practice\Planning\WarmUpTime;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;

/**
 * A page whose stages take over half a usual day is learnt line by line: each line with its own preparation, the playing of
 * the next after that of the line before (trade 11.9).
 */
final readonly class ByLine
{
    /** Lines that are asked at once, beyond those that passed. */
    private const AHEAD = 3;

    /** @param int $half half minutes that a stage may take at most, to be planned whole */
    private function __construct(private Piece $piece, private TempoLadder $ladder, private int $half) {}

    /**
     * @param  list<int>  $days  minutes of the days with practice: the one in the middle is the usual one
     * @param  int  $warmUp  half minutes of the warm-up, where the day has room for it
     */
    public static function on(Piece $piece, TempoLadder $ladder, array $days, int $warmUp): self
    {
        sort($days);
        $usual = 2 * ($days[intdiv(count($days), 2)] ?? 0);

        return new self($piece, $ladder, intdiv($usual - WarmUpTime::onDay($usual, $warmUp), 2));
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
     * The lines that are asked of a stage: the first few that have not passed.
     *
     * @param  list<array{int, int}>  $ranges  first and last index of a measure, of the stage
     * @param  list<int>  $passed  numbers of lines
     * @return list<LinePart>
     */
    public function asked(StageKind $kind, array $ranges, array $passed): array
    {
        $of = $kind->isPreparation() ? $this->differentLines() : $this->byLine($ranges);
        $open = array_slice(array_diff_key($of, array_flip($passed)), 0, self::AHEAD, true);

        return array_map(static fn (int $line, array $on): LinePart => new LinePart($line, count($of), $on), array_keys($open), $open);
    }

    /** @param ?int $tempo beats a minute; null for naming */
    public function times(StageKind $kind, LinePart $part, int $repetitions, ?int $tempo): TaskTimes
    {
        if ($tempo !== null) {
            return TaskTimes::ofBars($this->piece, $part->ranges, $kind->taskClass(), $repetitions, $kind->tempi($tempo, $this->ladder));
        }
        [$from, $to] = $part->ranges[0];

        return TaskTimes::naming(array_sum(array_map(static fn (Measure $measure): int => $measure->heads(), array_slice($this->piece->measures, $from, $to - $from + 1))));
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
}
