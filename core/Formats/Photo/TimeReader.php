<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads a time: two numbers, one above the other, or the sign that stands for 4/4 or 2/2. */
final class TimeReader
{
    private const SIGNS = 'times.txt';

    /** Columns before it, and that it takes at least and at most. */
    private const BEFORE = 44;

    private const NARROW = 10;

    private const WIDE = 48;

    /** Columns without ink within a sign where the lines of the staff cut it, at most. */
    private const TORN = 10;

    /** Rows above its middle line and below it that a sign takes at most, and how far from there its own middle is. */
    private const ABOUT = 30;

    private const MIDDLE = 4;

    /** Rows and columns of a number at least, and its ink: it fills its two spaces; a head with a stem, or a rest, does not. */
    private const NUMBER = [24, 8, 60];

    /** How much less like its print a sign may be than a number: the lines of the staff cut it. */
    private const SIGN = 0.04;

    /**
     * @param  float                     $like how far its print may be from the table's
     * @return array{ReadTime|null, int} and the column after; where there is none, the one before
     */
    public static function after(Strip $strip, int $end, float $like): array
    {
        foreach ([[self::sign(...), self::TORN], [self::numbers(...), 0]] as [$reader, $gap]) {
            $columns = self::columns($strip, $end, $gap);
            $time = $columns === null ? null : $reader($strip, $columns, $like);
            if ($columns !== null && $time !== null) {
                return [$time, $columns[1]];
            }
        }

        return [null, $end];
    }

    /** The ink of what may be a sign after a column. */
    public static function ink(Strip $strip, int $end): ?Blob
    {
        $columns = self::columns($strip, $end, self::TORN);

        return $columns === null ? null : self::made($strip, $columns, Strip::row(4) - self::ABOUT, Strip::row(4) + self::ABOUT);
    }

    /**
     * @param  int                  $gap columns without ink that may be within it
     * @return array{int, int}|null the first column of what stands there, and the one after it
     */
    private static function columns(Strip $strip, int $end, int $gap): ?array
    {
        for ($x = $end + 1; $x < $end + self::BEFORE; $x++) {
            if (self::inkAt($strip, $x) >= 3) {
                break;
            }
        }
        $to = $at = $x;
        while ($at < $x + self::WIDE + 4 && $at - $to <= $gap) {
            $to = self::inkAt($strip, $at) > 0 ? $at + 1 : $to;
            $at++;
        }

        return $to - $x < self::NARROW || $to - $x > self::WIDE ? null : [$x, $to];
    }

    /** Ink of a column within the staff. */
    private static function inkAt(Strip $strip, int $x): int
    {
        return Strip::ink($strip->bareColumns[$x] ?? '', Strip::TOP + 2, 60);
    }

    /** @param array{int, int} $columns */
    private static function sign(Strip $strip, array $columns, float $like): ?ReadTime
    {
        $ink = self::made($strip, $columns, Strip::row(4) - self::ABOUT, Strip::row(4) + self::ABOUT);
        [$printed, $far] = $ink === null || abs($ink->y() - Strip::row(4)) > self::MIDDLE ? ['', 1.0] : Prints::nearest(self::SIGNS, $ink);

        return $printed === '' || $far > $like - self::SIGN ? null : new ReadTime($printed, $far);
    }

    /** @param array{int, int} $columns */
    private static function numbers(Strip $strip, array $columns, float $like): ?ReadTime
    {
        $numbers = [];
        $all = 0.0;
        foreach ([Strip::TOP, Strip::TOP + 2 * Strip::SPACE] as $top) {
            $half = self::made($strip, $columns, $top + 1, $top + 2 * Strip::SPACE);
            if ($half === null || $half->height() < self::NUMBER[0] || $half->width() < self::NUMBER[1] || $half->area < self::NUMBER[2]) {
                return null;
            }
            [$numbers[], $far] = Numbers::nearest($half->picture());
            if ($far > $like) {
                return null;
            }
            $all += $far;
        }

        return new ReadTime(implode('/', $numbers), $all);
    }

    /** @param array{int, int} $columns */
    private static function made(Strip $strip, array $columns, int $top, int $bottom): ?Blob
    {
        [$x, $to] = $columns;
        $runs = [];
        for ($row = $top; $row < $bottom; $row++) {
            $line = substr($strip->bareRows[$row] ?? '', $x, $to - $x);
            $at = 0;
            while (($at += strcspn($line, "\1", $at)) < strlen($line)) {
                $run = strspn($line, "\1", $at);
                $runs[] = [$row, $x + $at, $x + $at + $run];
                $at += $run;
            }
        }

        return $runs === [] ? null : Blobs::made($runs);
    }
}
