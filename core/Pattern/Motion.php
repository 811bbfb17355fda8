<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

/** How two hands move that sound together (trade 7.1). */
enum Motion: string
{
    case Parallel = 'parallel';
    case Contrary = 'contrary';
    /** One stays where it is. */
    case Oblique = 'oblique';
    case Mixed = 'mixed';
}
