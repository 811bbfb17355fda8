<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** How a staff is looked at: the second time more has to be dark to be ink, half a pixel aside. What is read rightly is read so both times. */
enum Look
{
    case First;
    case Second;

    /** How many times as much darker than its paper ink has to be. */
    public function ink(): float
    {
        return $this === self::First ? 1.0 : 1.2;
    }

    /** Pixels of the strip to the right. */
    public function aside(): float
    {
        return $this === self::First ? 0.0 : 0.5;
    }
}
