<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Fraction;

/** What is said at a moment of a bar, counted in numbers. */
final readonly class CountWords
{
    /** Said where no count falls, as on the second note of five in a beat. */
    public const BETWEEN = '·';

    private const PARTS = ['1/4' => 'e', '1/2' => '&', '3/4' => 'a', '1/3' => 'trip', '2/3' => 'let'];

    /** @param Fraction $beats counted from the bar's start: 0 is beat one */
    public static function at(Fraction $beats): string
    {
        $part = $beats->part();

        return $part->isZero() ? (string) ($beats->floor() + 1) : self::PARTS[(string) $part] ?? self::BETWEEN;
    }
}
