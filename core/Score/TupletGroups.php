<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Where tuplets begin and end in a measure of one voice; a source may say it, or leave it to the lengths. */
final class TupletGroups
{
    /** @var array<int, Tuplet|null> */
    private array $tuplets;

    private ?Tuplet $open = null;

    private Fraction $from;

    /** The shortest length in the group that is open. */
    private Fraction $unit;

    /** @param list<array{Fraction, Fraction, Tuplet|null}> $notes onset, length and tuplet */
    private function __construct(array $notes)
    {
        $this->tuplets = array_column($notes, 2);
        $this->from = $this->unit = Fraction::zero();
    }

    /**
     * @param  list<array{Fraction, Fraction, Tuplet|null}>  $notes  onset, length and tuplet of the notes of one voice, in time
     * @return list<Tuplet|null> for each note, with the start and the end of each group
     */
    public static function of(array $notes): array
    {
        $groups = new self($notes);
        foreach ($notes as $i => [$onset, $length, $tuplet]) {
            $groups->note($i, $onset, $length, $tuplet);
        }
        $groups->stop(count($notes) - 1);

        return array_values($groups->tuplets);
    }

    private function note(int $i, Fraction $onset, Fraction $length, ?Tuplet $tuplet): void
    {
        if ($this->open !== null && ($tuplet === null || $tuplet->starts || ! $tuplet->ratio()->equals($this->open->ratio()))) {
            $this->stop($i - 1);
        }
        if ($tuplet === null) {
            return;
        }
        if ($this->open === null) {
            [$this->open, $this->from, $this->unit] = [$tuplet, $onset, $length];
            $this->tuplets[$i] = new Tuplet($tuplet->actual, $tuplet->normal, true, $tuplet->stops);
        }
        $this->unit = $length->compare($this->unit) < 0 ? $length : $this->unit;
        $full = $this->unit->times(Fraction::of($tuplet->actual));
        if ($tuplet->stops || (! $this->open->starts && $onset->plus($length)->minus($this->from)->compare($full) >= 0)) {
            $this->stop($i);
        }
    }

    private function stop(int $i): void
    {
        $tuplet = $this->tuplets[$i] ?? null;
        if ($this->open !== null && $tuplet !== null) {
            $this->tuplets[$i] = new Tuplet($tuplet->actual, $tuplet->normal, $tuplet->starts, true);
        }
        $this->open = null;
    }
}
