<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Where a sign belongs on the staff. */
final class Signs
{
    /** The place that an accidental alters. */
    public static function place(Blob $blob, Shape $shape): int
    {
        $y = $shape === Shape::Flat ? $blob->bottom - 8 : $blob->y();

        return (int) round((Strip::BOTTOM - $y) / 8);
    }
}
