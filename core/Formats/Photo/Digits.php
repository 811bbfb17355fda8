<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Knows a small digit in the fonts that books are printed with. */
final class Digits
{
    private const TABLE = 'digits.txt';

    /** @return array{int, float} the digit that a blob looks most like, and how far it is from it */
    public static function nearest(Blob $blob): array
    {
        [$digit, $far] = Prints::nearest(self::TABLE, $blob);

        return [(int) $digit, $far];
    }
}
