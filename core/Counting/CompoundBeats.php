<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Choice;

/** How 6/8 and similar meters are counted (trade 5.3). */
enum CompoundBeats: string implements Choice
{
    /** Every eighth: 1 2 3 4 5 6. */
    case Eighths = 'eighths';
    /** Every dotted quarter: 1 la li 2 la li. */
    case DottedQuarters = 'dotted-quarters';

    public function label(): string
    {
        return match ($this) {
            self::Eighths => 'in six: 1 2 3 4 5 6',
            self::DottedQuarters => 'in two: 1 la li 2 la li',
        };
    }
}
