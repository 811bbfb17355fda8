<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

enum CountingSystem: string
{
    /** 1 & 2 & through the bar. */
    case Numbers = 'numbers';
    /** Each note by its own length: 1, 1-2, 1-2-3. */
    case Units = 'units';
}
