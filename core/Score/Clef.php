<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

enum Clef: string
{
    case Treble = 'treble';
    case Bass = 'bass';

    /** The letter count from C0 of the bottom line: E4 or G2. */
    public function bottomLine(): int
    {
        return $this === self::Treble ? 30 : 18;
    }
}
