<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** An end of a line that goes from one sign of a staff to a later one. */
enum LineEnd: string
{
    case SlurStart = '(';
    case SlurEnd = ')';
    case Crescendo = '<';
    case Diminuendo = '>';

    /** With the length of the sign where it stands. */
    case HairpinEnd = '.';

    /** It is of notes, where the others are of rests too. */
    public function isSlur(): bool
    {
        return $this === self::SlurStart || $this === self::SlurEnd;
    }
}
