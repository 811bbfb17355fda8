<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Pitch;

/** A piece of a page as it was read. */
final readonly class ReadPhoto
{
    /**
     * @param list<Clef>      $clefs by staff
     * @param list<ReadBar>   $bars
     * @param string          $title empty where no words were read
     * @param TempoWords      $tempo likewise
     * @param int             $number of the first bar, as it is printed
     */
    public function __construct(public array $clefs, public int $fifths, public Meter $time, public array $bars, public string $title = '', public TempoWords $tempo = new TempoWords(), public int $number = 1) {}

    /**
     * The same piece but for what is given.
     *
     * @param list<Clef>|null      $clefs
     * @param list<ReadBar>|null   $bars
     */
    public function with(?array $clefs = null, ?int $fifths = null, ?Meter $time = null, ?array $bars = null, ?string $title = null, ?TempoWords $tempo = null): self
    {
        return new self($clefs ?? $this->clefs, $fifths ?? $this->fifths, $time ?? $this->time, $bars ?? $this->bars, $title ?? $this->title, $tempo ?? $this->tempo, $this->number);
    }

    public function clefOf(ReadBar $bar, int $staff): Clef
    {
        return $bar->clefs[$staff] ?? $this->clefs[$staff] ?? Clef::Treble;
    }

    public function keyOf(ReadBar $bar): Key
    {
        return new Key($bar->fifths ?? $this->fifths);
    }

    /** The clef with which a bar ends. */
    public function clefAfter(ReadBar $bar, int $staff): Clef
    {
        $clef = $this->clefOf($bar, $staff);
        foreach ($bar->staves[$staff] ?? [] as $sign) {
            $clef = $sign->clef ?? $clef;
        }

        return $clef;
    }

    public function timeOf(ReadBar $bar): Meter
    {
        return $bar->time ?? $this->time;
    }

    /** @return int ticks of a full bar */
    public function fullBar(ReadBar $bar): int
    {
        return self::length($this->timeOf($bar));
    }

    /**
     * Which staves of a bar do not come to it.
     *
     * @param  bool                     $first whether it may be a pickup
     * @return list<array{int, string}>
     */
    public function sumDoubts(ReadBar $bar, bool $first): array
    {
        $full = $this->fullBar($bar);
        $doubts = [];
        foreach (array_keys($bar->staves) as $staff) {
            if (array_unique($bar->sums($staff)) !== [$full] && ! ($first && max($bar->sums($staff)) < $full)) {
                $doubts[] = [$staff + 1, 'sum'];
            }
        }

        return $doubts;
    }

    /** @return int ticks of a full bar of it */
    public static function length(Meter $time): int
    {
        return intdiv(4 * Item::QUARTER * $time->count, $time->unit);
    }

    /**
     * The pitches of one staff in one bar: an accidental holds to the bar line, on its own place.
     *
     * @return list<array<int, Pitch>> by sign and head
     */
    public function pitches(ReadBar $bar, int $staff): array
    {
        $key = $this->keyOf($bar);
        $bottom = $this->clefOf($bar, $staff)->bottomLine();
        $inForce = [];
        $pitches = [];
        foreach ($bar->staves[$staff] ?? [] as $sign) {
            $bottom = $sign->clef?->bottomLine() ?? $bottom;
            $chord = [];
            foreach ($sign->heads as $head) {
                $letter = $bottom + $head->place;
                if ($head->sign !== null) {
                    $inForce[$letter] = $head->sign;
                }
                $chord[] = Pitch::ofDiatonic($letter, $inForce[$letter] ?? $key->alters($letter % 7));
            }
            $pitches[] = $chord;
        }

        return $pitches;
    }
}
