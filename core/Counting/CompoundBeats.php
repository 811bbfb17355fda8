<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

/** How 6/8 and its kin are counted (trade 5.3). */
enum CompoundBeats: string
{
    /** Every eighth: 1 2 3 4 5 6. */
    case Eighths = 'eighths';
    /** Every dotted quarter: 1 la li 2 la li. */
    case DottedQuarters = 'dotted-quarters';
}
