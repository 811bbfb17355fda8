<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/** Reads the key and the time that may stand after a bar line: where there are two staves, both say the same. */
final class SignatureReader
{
    /** How far the print of a number may be from the table's, where two staves show the same, and where there is one. */
    private const LIKE = 0.22;

    private const ALONE = 0.14;

    /** How far a natural may be from its print. */
    private const NATURAL = 0.36;

    /** Columns of one natural at most, rows of a sign at least, of a natural at most, and of several that touch. */
    private const ONE = 20;

    private const LOW = 26;

    private const HIGH = 60;

    private const TALL = 100;

    /** Columns by which one natural may reach under the one before it. */
    private const UNDER = 6;

    /** Columns from one sign to the next, at most. */
    private const NEXT = 24;

    /** Columns after a sign in which its note would stand, rows about it, and ink of a head there. */
    private const BESIDE = 14;

    private const ROWS = 6;

    private const HEAD = 40;

    /**
     * @param  non-empty-list<Staff> $staves
     * @param  list<int>             $from   by staff, the column after the bar line
     * @param  list<Clef>            $clefs  by staff
     * @param  int                   $fifths the key before
     */
    public static function after(array $staves, array $from, array $clefs, int $fifths): ?Signature
    {
        [$first, $signs] = self::read($staves, $from, $clefs, $fifths, 7);
        // A number that touches the one below it may have been taken for the last sign of the key.
        for ($most = $signs - 1; $first?->time === null && $most >= 0; $most--) {
            [$other] = self::read($staves, $from, $clefs, $fifths, $most);
            if ($other?->time !== null) {
                return $other;
            }
        }

        return $first;
    }

    /**
     * @param non-empty-list<Staff> $staves
     * @param list<int>             $from
     * @param list<Clef>            $clefs
     * @param int                   $most   signs of the key
     * @return array{Signature|null, int} and how many signs of a key there may be
     */
    private static function read(array $staves, array $from, array $clefs, int $fifths, int $most): array
    {
        $keys = $times = $ends = [];
        $signs = 0;
        foreach ($staves as $i => $staff) {
            [$keys[$i], $ends[$i], $own] = self::key($staff, $from[$i], $clefs[$i], $fifths, $most);
            $signs = max($signs, $own);
        }
        $key = count(array_unique($keys, SORT_REGULAR)) === 1 ? $keys[0] : null;
        foreach ($staves as $i => $staff) {
            $like = isset($staves[1]) ? self::LIKE : self::ALONE;
            [$time, $end] = TimeReader::after($staff->strip, $key === null ? $from[$i] : $ends[$i], $like);
            if ($time === null && $key === null) {
                // After naturals that do not say which key it is.
                [$time, $end] = TimeReader::after($staff->strip, $ends[$i], $like);
            }
            [$times[$i], $ends[$i]] = [$time?->meter(), $time === null && $key === null ? $from[$i] : $end];
        }
        $time = count(array_unique($times, SORT_REGULAR)) === 1 ? $times[0] : null;

        return [$key === null && $time === null ? null : new Signature($key, $time, array_values($ends)), $signs];
    }

    /**
     * Naturals take back what was; then the signs of the new key, where one has any.
     *
     * @return array{int|null, int, int} null where none stands there; the column after what may be signs, and how many of a key there are
     */
    private static function key(Staff $staff, int $from, Clef $clef, int $before, int $most): array
    {
        [$naturals, $end] = self::naturals($staff, $from, OpeningReader::places($before, $clef));
        [$fifths, $to] = OpeningReader::key($staff->blobs, $end, $clef, $most);
        $to = $fifths === 0 ? $end : $to;
        // A key without signs takes back every one of the key before.
        $isOther = $fifths !== $before && ($fifths !== 0 || $naturals >= abs($before)) && ! self::isOfNote($staff, $to);

        return [$isOther ? $fifths : null, $to, abs($fifths)];
    }

    /**
     * @param  list<int>       $places where the signs stand that they may take back
     * @return array{int, int} how many, and the column after
     */
    private static function naturals(Staff $staff, int $from, array $places): array
    {
        [$count, $end] = [0, $from];
        foreach (Accidentals::whole($staff->blobs, $from, $from + 7 * self::NEXT) as $blob) {
            // What stands above the staff or below it is of words; naturals may reach under one another.
            if ($blob->left < $end - self::UNDER || $blob->height() < self::LOW || $blob->height() > self::TALL || $blob->bottom < Strip::TOP - Strip::SPACE || $blob->top > Strip::BOTTOM + Strip::SPACE) {
                continue;
            }
            if ($blob->left > $end + self::NEXT) {
                break;
            }
            [$shape, $far] = Shapes::nearest($blob);
            if ($shape === Shape::Natural && $far <= self::NATURAL) {
                [$count, $end] = [$count + 1, $blob->right];

                continue;
            }
            if ($far <= self::NATURAL || $blob->width() <= self::ONE && $blob->height() <= self::HIGH) {
                break;
            }
            [$more, $end] = self::touching($blob, $end, $places);
            $count += $more;
        }

        return [$count, $end];
    }

    /**
     * Naturals that touch one another.
     *
     * @param  list<int>       $places
     * @return array{int, int} how many, and the column after
     */
    private static function touching(Blob $blob, int $end, array $places): array
    {
        $count = 0;
        $from = max($blob->left, $end - 2);
        do {
            $sign = null;
            foreach ($places as $place) {
                $sign ??= Accidentals::cutOut($blob, $from, Shape::Natural, $place);
            }
            if ($sign !== null) {
                $count++;
                [$from, $end] = [$sign->right - 2, $sign->right];
            }
        } while ($sign !== null && $count < count($places));

        return [$count, $end];
    }

    /** Whether a head stands so near after a sign that it is this note’s own. */
    private static function isOfNote(Staff $staff, int $end): bool
    {
        foreach ($staff->blobs as $blob) {
            if ($blob->right !== $end || $blob->height() < self::LOW) {
                continue;
            }
            [$shape] = Shapes::nearest($blob);
            if ($shape->alter() === null) {
                continue;
            }
            $row = Strip::row(Accidentals::place($blob, $shape));
            $ink = 0;
            for ($y = $row - self::ROWS; $y <= $row + self::ROWS; $y++) {
                $ink += Strip::ink($staff->strip->bareRows[$y] ?? '', $end + 1, self::BESIDE);
            }
            if ($ink >= self::HEAD) {
                return true;
            }
        }

        return false;
    }
}
