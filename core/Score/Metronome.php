<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A metronome mark as printed: a note value and how many of it a minute, or from how many to how many. */
final readonly class Metronome
{
    /**
     * @param  int  $goal  of the unit, a minute
     * @param  int|null  $from  where a printed range starts
     * @param  Duration  $unit  one note, plain or dotted
     *
     * @throws InvalidScore when the unit is no single note, or a number is not from 1 to 999
     */
    public function __construct(public int $goal, public ?int $from, public Duration $unit)
    {
        if ($unit->asNote() === null) {
            throw InvalidScore::noBeatOfAMetronome($unit);
        }
        foreach ([$goal, $from ?? $goal] as $number) {
            if ($number < 1 || $number > 999) {
                throw InvalidScore::noMetronomeMark($number);
            }
        }
    }

    /** @return int quarter notes a minute at the goal, rounded down */
    public function quarters(): int
    {
        return $this->inQuarters($this->goal);
    }

    /** @return int|null quarter notes a minute where the range starts, rounded down */
    public function quartersFrom(): ?int
    {
        return $this->from === null ? null : $this->inQuarters($this->from);
    }

    private function inQuarters(int $count): int
    {
        return max(1, $this->unit->whole->times(Fraction::of(4 * $count))->floor());
    }
}
