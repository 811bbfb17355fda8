<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds what goes from the top line to the bottom one and no further. */
final class BarLineFinder
{
    /** Columns beside a line in which its dots stand. */
    private const BESIDE = 18;

    /** Pixels of a dot. */
    private const DOT = 24;

    /** Columns beside a stroke in which a head is seen, and rows that it has there at least. */
    private const AWAY = 4;

    private const HEAD = 9;

    private const HIGH = 14;

    /** Rows in which a head touches its stem at least. */
    private const TOUCHING = 3;

    /** Rows of heads in thirds at most; what is longer is a stroke beside it. */
    private const CHORD = 48;

    /** Columns beside a stroke at which a slur that passes it is seen, rows within which it passes, and that it has there at most. */
    private const BOW = 8;

    private const PASSES = 14;

    private const THIN = 8;

    /** Strokes nearer than this are one sign. */
    private const TOGETHER = 10;

    /** One that is this near to a line is of a number beside it. */
    private const NUMBER = 22;

    /**
     * @param  list<array{int, int}> $strokes first column, one after the last
     * @param  list<Blob>            $blobs
     * @return list<BarLine>         from left to right
     */
    public static function joined(array $strokes, array $blobs, Strip $strip): array
    {
        $lines = [];
        foreach ($strokes as [$from, $to]) {
            $last = count($lines) - 1;
            $thick = $to - $from >= 5 ? $to - $from : 0;
            if ($last >= 0 && $from - $lines[$last][1] <= self::TOGETHER) {
                $lines[$last] = [$lines[$last][0], $to, max($lines[$last][2], $thick)];
            } elseif ($last < 0 || $from - $lines[$last][1] > self::NUMBER) {
                $lines[] = [$from, $to, $thick];
            }
        }
        $found = [];
        foreach ($lines as [$from, $to, $thick]) {
            $found[] = new BarLine(
                $from,
                $to,
                $thick,
                self::dots($blobs, $from - 26, $from + 6) || $thick > 0 && self::touchingDots($strip, $from - self::BESIDE),
                self::dots($blobs, $to - 6, $to + 26) || $thick > 0 && self::touchingDots($strip, $to + 2),
            );
        }

        return $found;
    }

    /** Whether a head is at the end of a stroke, as it is of a stem that goes from line to line. */
    public static function isStem(Strip $strip, int $from, int $to): bool
    {
        if ($to - $from >= 5) {
            return false;
        }
        foreach ([[Strip::TOP, -1], [Strip::BOTTOM, 1], [Strip::TOP, 1], [Strip::BOTTOM, -1]] as [$row, $way]) {
            $ink = $touching = 0;
            for ($y = $row - 6; $y <= $row + 6; $y++) {
                $ink += Strip::ink($strip->bareRows[$y] ?? '', $way > 0 ? $to + 2 : $from - 11, 9);
                $touching += Strip::ink($strip->bareRows[$y] ?? '', $way > 0 ? $to + 1 : $from - 2, 1);
            }
            // A sign of the key stands apart from the line.
            if ($ink >= 45 && $touching >= self::TOUCHING) {
                return true;
            }
        }

        return false;
    }

    /** Whether heads stand at the side of a stroke that ends at its staff, where the bar lines of a grand staff go on to the next. */
    public static function isOfHeads(Strip $strip, int $from, int $to, bool $isUpper): bool
    {
        $least = $to - $from >= 5 ? self::HIGH : self::HEAD;
        $column = $strip->columns[intdiv($from + $to, 2)] ?? '';
        $goesOn = substr_count($isUpper ? substr($column, Strip::BOTTOM + 4, self::CHORD) : substr($column, Strip::TOP - 4 - self::CHORD, self::CHORD), "\1") >= 0.8 * self::CHORD;

        return ! $goesOn && (self::isTouched($strip, $from - self::AWAY, $least) || self::isTouched($strip, $to + self::AWAY - 1, $least));
    }

    /** @param int $least rows of a head there */
    private static function isTouched(Strip $strip, int $x, int $least): bool
    {
        preg_match_all('/\x01+/', substr($strip->bareColumns[$x] ?? '', Strip::TOP, Strip::BOTTOM - Strip::TOP), $runs);
        foreach ($runs[0] as $run) {
            if (strlen($run) >= $least && strlen($run) <= self::CHORD) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  bool                  $joinsUp it may go on upwards, to the staff above
     * @return list<array{int, int}> first column, one after the last
     */
    public static function strokes(Strip $strip, bool $joinsUp, bool $joinsDown): array
    {
        $length = Strip::BOTTOM - Strip::TOP + 1;
        $strokes = [];
        $count = $strip->width();
        for ($x = 1; $x < $count - 1; $x++) {
            $own = substr($strip->columns[$x] ?? '', Strip::TOP, $length);
            if (substr_count($own, "\1") < 34) {
                continue;
            }
            $wide = $own | substr($strip->columns[$x - 1] ?? '', Strip::TOP, $length) | substr($strip->columns[$x + 1] ?? '', Strip::TOP, $length);
            if (substr_count($wide, "\1") < $length - 3 || ! self::ends($strip, $x, $joinsUp, $joinsDown)) {
                continue;
            }
            $last = $strokes === [] ? null : array_pop($strokes);
            if ($last !== null && $x - $last[1] <= 1) {
                $strokes[] = [$last[0], $x + 1];
            } else {
                if ($last !== null) {
                    $strokes[] = $last;
                }
                $strokes[] = [$x, $x + 1];
            }
        }

        return $strokes;
    }

    /** A stem goes on beyond the staff. */
    private static function ends(Strip $strip, int $x, bool $joinsUp, bool $joinsDown): bool
    {
        $above = 0;
        $below = 0;
        for ($d = -1; $d <= 1; $d++) {
            $column = $strip->columns[$x + $d] ?? '';
            $above = max($above, substr_count($column, "\1", Strip::TOP - 12, 8));
            $below = max($below, substr_count($column, "\1", Strip::BOTTOM + 5, 8));
        }

        return ($above <= 3 || $joinsUp || self::isPassed($strip, $x, Strip::TOP - self::PASSES - 4))
            && ($below <= 3 || $joinsDown || self::isPassed($strip, $x, Strip::BOTTOM + 5));
    }

    /** Whether what is above a stroke or below it only passes there, as a slur or a hairpin does: it is thin, and at both sides too. */
    private static function isPassed(Strip $strip, int $x, int $row): bool
    {
        foreach ([-1, 0, 1] as $side) {
            $longest = 0;
            for ($at = -1; $at <= 1; $at++) {
                preg_match_all('/\x01+/', substr($strip->columns[$x + $at + self::BOW * $side] ?? '', $row, self::PASSES), $runs);
                $longest = max([$longest, ...array_map(strlen(...), $runs[0])]);
            }
            if ($longest === 0 || $longest > self::THIN) {
                return false;
            }
        }

        return true;
    }

    /** Dots that run together with the line beside them: ink in the two middle spaces, and neither in the others nor from one to the other, as a flag has it. */
    private static function touchingDots(Strip $strip, int $from): bool
    {
        $ink = static function (int $place, int $rows) use ($strip, $from): int {
            $ink = 0;
            for ($row = Strip::row($place) - $rows; $row <= Strip::row($place) + $rows; $row++) {
                $ink += Strip::ink($strip->bareRows[$row] ?? '', $from, self::BESIDE - 2);
            }

            return $ink;
        };
        [$upper, $lower] = [$ink(5, 4), $ink(3, 4)];

        return min($upper, $lower) >= self::DOT && max($upper, $lower) <= 4.6 * self::DOT && max($ink(1, 4), $ink(7, 4), $ink(4, 2)) <= self::DOT / 3;
    }

    /** @param list<Blob> $blobs */
    private static function dots(array $blobs, int $from, int $to): bool
    {
        $seen = [];
        foreach ($blobs as $blob) {
            if ($blob->left >= $from && $blob->right <= $to && $blob->isDot()) {
                foreach ([3, 5] as $place) {
                    if (abs($blob->y() - Strip::row($place)) <= 4) {
                        $seen[$place] = true;
                    }
                }
            }
        }

        return count($seen) === 2;
    }
}
