<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/** Reads clef, key and time at the left of a staff. */
final class OpeningReader
{
    /** Places of sharps and flats in the treble, in their order; in the bass two lower. */
    private const SHARPS = [8, 5, 9, 6, 3, 7, 4];

    private const FLATS = [4, 7, 3, 6, 2, 5, 1];

    /** How far the print of a time may be from the table's. */
    private const LIKE = 0.24;

    /** Columns that a clef takes at least, at most, and where it is no clef alone. */
    private const NARROW = 34;

    private const WIDE = 54;

    private const WIDEST = 60;

    /** Columns of a sign of the key and the space before it. */
    private const SIGN = 24;

    /** On a later line, where a note or a rest is likelier. */
    private const ALIKE = 0.1;

    /**
     * @param list<Blob> $blobs
     * @param bool       $first it is of the first line of the page
     * @param int        $most  signs of the key
     */
    public static function read(Strip $strip, array $blobs, bool $first, int $most = 7): Opening
    {
        [$clef, $fifths, $end] = self::beforeTime($strip, $blobs, $most);
        [$time, $end] = TimeReader::after($strip, $end, $first ? self::LIKE : self::ALIKE);

        return new Opening($clef, $fifths, $time, $end);
    }

    /**
     * @param  list<Blob>            $blobs
     * @return array{Clef, int, int} the clef, the fifths of the key, and the column after them
     */
    public static function beforeTime(Strip $strip, array $blobs, int $most = 7): array
    {
        $left = self::left($strip);
        $from = $left;
        while ($from < $left + 60 && self::inkOf($strip, $from, Strip::TOP - 30, 124) === 0) {
            $from++;
        }
        $end = $from + 2 * Strip::SPACE;
        while ($end < $from + self::WIDEST && self::inkOf($strip, $end, Strip::TOP - 30, 124) > 0) {
            $end++;
        }
        if ($end === $from + self::WIDEST) {
            $end = self::narrowest($strip, $from + self::NARROW, $from + self::WIDE);
        }
        $above = 0;
        $below = 0;
        for ($x = $from; $x < $end; $x++) {
            $above += self::inkOf($strip, $x, Strip::TOP - 24, 20);
            $below += self::inkOf($strip, $x, Strip::BOTTOM + 5, 20);
        }
        $clef = $above >= 20 && $below >= 20 ? Clef::Treble : Clef::Bass;

        return [$clef, ...self::key($blobs, $end, $clef, $most)];
    }

    /** Where a clef touches what stands after it, the one ends at the least ink. */
    private static function narrowest(Strip $strip, int $from, int $to): int
    {
        [$best, $least] = [$to, PHP_INT_MAX];
        for ($x = $from; $x <= $to; $x++) {
            $ink = self::inkOf($strip, $x, Strip::TOP - 30, 124);
            if ($ink < $least) {
                [$best, $least] = [$x, $ink];
            }
        }

        return $best;
    }

    /** The column after the line at the left, or where the staff begins. */
    private static function left(Strip $strip): int
    {
        $width = min($strip->width(), 8 * Strip::SPACE);
        $begins = 0;
        for ($x = 0; $x < $width; $x++) {
            $lines = 0;
            for ($i = 0; $i < 5; $i++) {
                $lines += str_contains(substr($strip->columns[$x] ?? '', Strip::TOP + $i * Strip::SPACE - 2, 5), "\1") ? 1 : 0;
            }
            if ($lines < 4) {
                $begins = $x + 1;
            } elseif ($x - $begins >= 10) {
                break;
            }
        }
        for ($x = max(0, $begins - 2); $x < $width; $x++) {
            $full = substr_count($strip->columns[$x] ?? '', "\1", Strip::TOP, 65);
            if ($full < 40) {
                return $x;
            }
        }

        return $x;
    }

    private static function inkOf(Strip $strip, int $x, int $row, int $rows): int
    {
        return Strip::ink($strip->bareColumns[$x] ?? '', $row, $rows);
    }

    /**
     * @param  list<Blob>      $blobs
     * @return array{int, int} fifths, and the column after
     */
    public static function key(array $blobs, int $end, Clef $clef, int $most): array
    {
        $fifths = 0;
        $lower = $clef === Clef::Bass ? 2 : 0;
        $whole = Accidentals::whole($blobs, $end - 3, $end + 140);
        for ($i = 0; isset($whole[$i]); $i++) {
            $blob = $whole[$i];
            if ($blob->left < $end - 3 || $blob->top < Strip::TOP - 3 * Strip::SPACE || $blob->bottom > Strip::BOTTOM + 3 * Strip::SPACE) {
                continue;
            }
            if ($blob->isDot() && $blob->left < $end + 12) {
                // The two dots of a bass clef.
                $end = max($end, $blob->right);
            }
            if ($blob->width() > 30 && $blob->width() < 150 && $blob->left <= $end + 24 && $blob->height() < 100) {
                [$fifths, $end] = self::touching($blob, $fifths, $end, $lower, $most);
            }
            if ($blob->height() < 26 || $blob->height() > 60 || $blob->width() > 30) {
                continue;
            }
            if (abs($fifths) >= $most) {
                break;
            }
            $sign = $blob->left > $end + 24 ? null : self::next($blob, $fifths, $lower);
            if ($sign === null) {
                // The one before it may be torn to pieces.
                $sign = self::torn($whole, $end, $fifths, $lower);
                $i--;
            }
            if ($sign === null) {
                break;
            }
            $fifths += $sign[0];
            $end = $sign[1]->right;
        }

        return [$fifths, $end];
    }

    /** @return array{int, Blob}|null whether it is a sharp or a flat, where it is the next sign of a key */
    private static function next(Blob $blob, int $fifths, int $lower): ?array
    {
        [$shape, $far] = Shapes::nearest($blob);
        $alter = $shape->alter() ?? 0;
        $expected = ($alter > 0 ? self::SHARPS : self::FLATS)[abs($fifths)] - $lower;

        return $alter === 0 || $far > 0.36 || $fifths * $alter < 0 || abs(Accidentals::place($blob, $shape) - $expected) > 1 ? null : [$alter, $blob];
    }

    /**
     * @param  list<Blob>            $blobs
     * @return array{int, Blob}|null what pieces right after a column are together, likewise
     */
    private static function torn(array $blobs, int $end, int $fifths, int $lower): ?array
    {
        $parts = array_values(array_filter($blobs, static fn (Blob $blob): bool => $blob->left >= $end - 3 && $blob->right <= $end + self::SIGN && $blob->height() < 26));
        if (count($parts) < 2) {
            return null;
        }
        $all = array_reduce(array_slice($parts, 1), static fn (Blob $all, Blob $part): Blob => $all->with($part), $parts[0]);
        foreach ($fifths === 0 ? [1, -1] : [$fifths <=> 0] as $alter) {
            $sign = Accidentals::cutOut($all, $end - 2, $alter > 0 ? Shape::Sharp : Shape::Flat, ($alter > 0 ? self::SHARPS : self::FLATS)[abs($fifths)] - $lower);
            if ($sign !== null) {
                return [$alter, $sign];
            }
        }

        return null;
    }

    /**
     * Where the signs of a key stand.
     *
     * @return list<int> places, in their order
     */
    public static function places(int $fifths, Clef $clef): array
    {
        return array_map(static fn (int $place): int => $place - ($clef === Clef::Bass ? 2 : 0), array_slice($fifths > 0 ? self::SHARPS : self::FLATS, 0, abs($fifths)));
    }

    /**
     * Signs of the key that touch one another.
     *
     * @return array{int, int} fifths, and the column after
     */
    private static function touching(Blob $blob, int $fifths, int $end, int $lower, int $most): array
    {
        $from = max($blob->left, $end - 2);
        while (abs($fifths) < $most) {
            foreach ($fifths === 0 ? [1, -1] : [$fifths <=> 0] as $alter) {
                $place = ($alter > 0 ? self::SHARPS : self::FLATS)[abs($fifths)] - $lower;
                $sign = Accidentals::cutOut($blob, $from, $alter > 0 ? Shape::Sharp : Shape::Flat, $place);
                if ($sign !== null) {
                    $fifths += $alter;
                    [$from, $end] = [$sign->right - 2, $sign->right];

                    continue 2;
                }
            }
            break;
        }

        return [$fifths, $end];
    }
}
