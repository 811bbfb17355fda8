<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Score\Fraction;

/** The shortest step that notes played freely are laid on. */
enum Grid: string
{
    case Quarters = 'quarter';
    case Eighths = 'eighth';
    case Sixteenths = 'sixteenth';
    case Triplets = 'triplet';

    /** In whole notes. */
    public function step(): Fraction
    {
        return match ($this) {
            self::Quarters => Fraction::of(1, 4),
            self::Eighths => Fraction::of(1, 8),
            self::Sixteenths => Fraction::of(1, 16),
            self::Triplets => Fraction::of(1, 12),
        };
    }
}
