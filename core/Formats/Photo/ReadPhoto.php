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
     */
    public function __construct(public array $clefs, public int $fifths, public array $time, public array $bars, public string $title = '') {}

    /** @param list<ReadBar> $bars */
    public function withBars(array $bars): self
    {
        return new self($this->clefs, $this->fifths, $this->time, $bars, $this->title);
    }

    public function titled(string $title): self
    {
        return new self($this->clefs, $this->fifths, $this->time, $this->bars, $title);
    }

    /** @return int ticks of a full bar */
    public function fullBar(): int
    {
        return intdiv(4 * Item::QUARTER * $this->time[0], $this->time[1]);
    }

    /**
     * The pitches of one staff in one bar: an accidental holds to the bar line, on its own place.
     *
     * @param  list<ReadSign>          $signs
     * @return list<array<int, Pitch>> by sign and head
     */
    public function pitches(array $signs, int $staff): array
    {
        $key = new Key($this->fifths);
        $bottom = ($this->clefs[$staff] ?? Clef::Treble)->bottomLine();
        $inForce = [];
        $pitches = [];
        foreach ($signs as $sign) {
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
