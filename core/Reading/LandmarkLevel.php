<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Choice;
use Nasturtium\Core\Score\Clef;

/** How many landmarks a student knows: each level has those before it too (trade 3.4). */
enum LandmarkLevel: int implements Choice
{
    case First = 1;
    case Second = 2;
    case Third = 3;

    /** @return array<string, Clef|null> what this level adds, with the clef it belongs to; middle C stands between the staves */
    public function adds(): array
    {
        return match ($this) {
            self::First => ['C4' => null, 'G4' => Clef::Treble, 'F3' => Clef::Bass],
            self::Second => ['C5' => Clef::Treble, 'C3' => Clef::Bass],
            self::Third => ['F5' => Clef::Treble, 'G2' => Clef::Bass, 'C6' => Clef::Treble, 'C2' => Clef::Bass],
        };
    }

    public function label(): string
    {
        return ($this === self::First ? '' : 'and ').implode(' ', array_keys($this->adds()));
    }
}
