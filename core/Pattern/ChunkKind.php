<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Choice;

enum ChunkKind: string implements Choice
{
    case BarOver = 'bar-over';
    case HalfLine = 'half-line';
    case Line = 'line';
    case LineTurn = 'line turn';
    case Section = 'section';
    case HandOver = 'hand-over';
    case Whole = 'whole';
    /** Whatever the teacher drags over. */
    case Own = 'own';

    public function label(): string
    {
        return match ($this) {
            self::BarOver => 'a bar into the next',
            self::HalfLine => 'half a line',
            self::Line => 'a line',
            self::LineTurn => 'the turn of a line',
            self::Section => 'a section',
            self::HandOver => 'where the tune passes',
            self::Whole => 'the whole piece',
            self::Own => 'what was dragged over',
        };
    }
}
