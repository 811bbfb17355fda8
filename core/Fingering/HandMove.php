<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

/** How the hand comes to where it lies. */
enum HandMove: string
{
    case Start = 'start';
    case Stay = 'stay';
    case Shift = 'shift';
    case ThumbUnder = 'under';
    case FingerOver = 'over';

    public function isCrossing(): bool
    {
        return $this === self::ThumbUnder || $this === self::FingerOver;
    }
}
