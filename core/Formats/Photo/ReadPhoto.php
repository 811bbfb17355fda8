<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;

/** A page as it was read. */
final readonly class ReadPhoto
{
    /**
     * @param list<Clef>      $clefs by staff
     * @param array{int, int} $time  beats and their unit
     * @param list<ReadBar>   $bars
     */
    public function __construct(public array $clefs, public int $fifths, public array $time, public array $bars) {}

    /**
     * The pitches of one staff in one bar: an accidental holds to the bar line, on its own place.
     *
     * @param  list<Item>                    $items
     * @return list<array<int, Pitch>> by item and head
     */
    public function pitches(array $items, int $staff): array
    {
        $key = new Key($this->fifths);
        $bottom = ($this->clefs[$staff] ?? Clef::Treble)->bottomLine();
        $inForce = [];
        $pitches = [];
        foreach ($items as $item) {
            $chord = [];
            foreach ($item->heads as $head) {
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
