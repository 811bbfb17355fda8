<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;

/** A piece of a page as it was read. */
final readonly class ReadPhoto
{
    /**
     * @param list<Clef>      $clefs by staff
     * @param array{int, int} $time  beats and their unit
     * @param list<ReadBar>   $bars
     * @param string          $title empty where no words were read
     * @param TempoWords      $tempo likewise
     */
    public function __construct(public array $clefs, public int $fifths, public array $time, public array $bars, public string $title = '', public TempoWords $tempo = new TempoWords()) {}

    /**
     * The same piece but for what is given.
     *
     * @param list<Clef>|null      $clefs
     * @param array{int, int}|null $time
     * @param list<ReadBar>|null   $bars
     */
    public function with(?array $clefs = null, ?int $fifths = null, ?array $time = null, ?array $bars = null, ?string $title = null, ?TempoWords $tempo = null): self
    {
        return new self($clefs ?? $this->clefs, $fifths ?? $this->fifths, $time ?? $this->time, $bars ?? $this->bars, $title ?? $this->title, $tempo ?? $this->tempo);
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

    /** @return array{int, int} beats and their unit */
    public function timeOf(ReadBar $bar): array
    {
        return $bar->time ?? $this->time;
    }

    /** @return int ticks of a full bar */
    public function fullBar(ReadBar $bar): int
    {
        return self::length($this->timeOf($bar));
    }

    /**
     * @param  array{int, int} $time
     * @return int             ticks of a full bar of it
     */
    public static function length(array $time): int
    {
        return intdiv(4 * Item::QUARTER * $time[0], $time[1]);
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
