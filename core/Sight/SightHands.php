<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sight;

/** Who plays a line. */
enum SightHands: string
{
    case One = 'one';
    case Turns = 'turns';
    case Together = 'together';
}
