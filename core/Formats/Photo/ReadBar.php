<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;

/** A bar as it was read. */
final readonly class ReadBar
{
    /**
     * @param list<list<ReadSign>>        $staves  from the top; signs of both voices from left to right
     * @param list<array{0: int, 1: string, 2?: int}> $doubts  the staff from 1, why, and the sign of the staff that it is, from 0, where it is one
     * @param int                         $line    which line of the page it stands in, from 0
     * @param list<array{int, int}>       $columns by staff, where it begins and ends in the strip
     * @param int                         $ending  the pass in which it is played; 0 where it is in all
     * @param array<int, Clef>            $clefs   by staff, where its line has another one than the piece
     * @param int|null                    $fifths  its key, likewise
     * @param Meter|null                  $time    likewise
     * @param array<int, list<ReadSign>>  $others  by staff, what it was read as another time
     */
    public function __construct(public array $staves, public bool $repeatStart, public bool $repeatEnd, public array $doubts, public int $line = 0, public array $columns = [], public int $ending = 0, public array $clefs = [], public ?int $fifths = null, public ?Meter $time = null, public array $others = []) {}

    /** @param list<ReadSign> $signs of one staff; their onsets are counted anew */
    public function withStaff(int $staff, array $signs): self
    {
        $at = [0, 0];
        $placed = [];
        foreach ($signs as $sign) {
            $placed[] = $sign->at($at[$sign->voice] ?? 0);
            $at[$sign->voice] = ($at[$sign->voice] ?? 0) + $sign->ticks();
        }
        $staves = $this->staves;
        $staves[$staff] = $placed;

        return $this->reading($staves, $this->doubts);
    }

    /** @param list<array{0: int, 1: string, 2?: int}> $doubts */
    public function doubted(array $doubts): self
    {
        return $this->reading($this->staves, $doubts);
    }

    /**
     * The same bar as it was read otherwise.
     *
     * @param list<list<ReadSign>>     $staves
     * @param list<array{0: int, 1: string, 2?: int}> $doubts
     * @param array<int, list<ReadSign>>|null $others by staff, what it was read as another time; null where they stay
     */
    public function reading(array $staves, array $doubts, ?array $others = null): self
    {
        return new self($staves, $this->repeatStart, $this->repeatEnd, $doubts, $this->line, $this->columns, $this->ending, $this->clefs, $this->fifths, $this->time, $others ?? $this->others);
    }

    /** With a staff as it was read another time; what stood there is its other reading then. */
    public function swapped(int $staff): self
    {
        [$staves, $others] = [$this->staves, $this->others];
        if (! isset($staves[$staff], $others[$staff])) {
            return $this;
        }
        [$staves[$staff], $others[$staff]] = [$others[$staff], $staves[$staff]];

        return $this->reading($staves, $this->doubts, $others);
    }

    /** @return int which sign of a staff is in doubt; the first where it is none of them */
    public function doubtful(int $staff): int
    {
        $signs = array_column(array_filter($this->doubts, static fn (array $doubt): bool => $doubt[0] === $staff + 1), 2);

        return $signs === [] ? 0 : min($signs);
    }

    /** @return int columns that it takes in the strip of its first staff */
    public function width(): int
    {
        return isset($this->columns[0]) ? $this->columns[0][1] - $this->columns[0][0] : 0;
    }

    /** @return int ticks from its beginning to where what stands on a staff ends */
    public function end(int $staff): int
    {
        return max([0, ...array_map(static fn (ReadSign $sign): int => $sign->onset + $sign->ticks(), $this->staves[$staff] ?? [])]);
    }

    /** @return non-empty-list<int> ticks of what stands on a staff, by voice */
    public function sums(int $staff): array
    {
        $sums = [0];
        foreach ($this->staves[$staff] ?? [] as $sign) {
            $sums[$sign->voice] = ($sums[$sign->voice] ?? 0) + $sign->ticks();
        }

        return array_values($sums);
    }
}
