<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds the head on the wrong side of a stem, a step from one on the right side, where the two run together. */
final class Seconds
{
    /** Half the columns and half the rows that are looked at. */
    private const HALF = 7;

    private const HIGH = 5;

    /** The share of them that is ink in a head. */
    private const FULL = 0.84;

    /** And in what may be one. */
    private const PERHAPS = 0.79;

    /** Rows of the upright stroke of an accidental. */
    private const STROKE = 26;

    /** Rows above and below a head in which it stands. */
    private const AROUND = 40;

    /** Columns from the stem to the middle of a head. */
    private const BESIDE = 10;

    /**
     * @param  list<Head> $others of the stem that goes the other way from there
     * @return list<Head> what was put to the stem
     */
    public static function of(Strip $strip, Stem $stem, array $others = []): array
    {
        $found = [];
        $taken = array_column([...$stem->heads, ...$others], 'place');
        foreach ($stem->heads as $head) {
            $x = (int) round($stem->x + ($stem->x <=> $head->x) * self::BESIDE);
            foreach ($head->hollow ? [] : [-1, 1] as $step) {
                $place = $head->place + $step;
                $share = self::share($strip, $x, Strip::row($place));
                if ($share < self::PERHAPS || $x < $stem->x && self::isOfSign($strip, $x, Strip::row($place)) || in_array($place, $taken, true) || self::share($strip, $x, Strip::row($place + 2 * $step)) > 0.6) {
                    continue;
                }
                if ($share < self::FULL) {
                    $head->doubt ??= 'more';

                    continue;
                }
                $second = new Head((float) $x, $place, false, 18.0, 0.9);
                $second->stem = $stem;
                $found[] = $second;
            }
        }
        array_push($stem->heads, ...$found);

        return $found;
    }

    /** Before a note whose stem goes down stands its accidental, which has an upright stroke. */
    private static function isOfSign(Strip $strip, int $x, int $row): bool
    {
        for ($column = $x - self::BESIDE; $column < $x + self::HALF; $column++) {
            preg_match_all('/\x01+/', substr($strip->bareColumns[$column] ?? '', max(0, $row - self::AROUND), 2 * self::AROUND), $runs);
            if (max([0, ...array_map(strlen(...), $runs[0])]) >= self::STROKE) {
                return true;
            }
        }

        return false;
    }

    private static function share(Strip $strip, int $x, int $row): float
    {
        $ink = 0;
        for ($y = $row - self::HIGH; $y <= $row + self::HIGH; $y++) {
            $ink += Strip::ink($strip->bareRows[$y] ?? '', $x - self::HALF, 2 * self::HALF + 1);
        }

        return $ink / ((2 * self::HIGH + 1) * (2 * self::HALF + 1));
    }
}
