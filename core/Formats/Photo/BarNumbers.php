<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads the number of the first bar of a line, which stands small above its clef, and holds it against the bars that were read. */
final class BarNumbers
{
    /** How far the print of a digit may be from the table's. */
    private const LIKE = 0.24;

    /** Rows above the staff in which they stand, of a digit at least and at most, and columns of one. */
    private const ABOVE = [3, 46];

    private const HIGH = [10, 26];

    private const WIDE = [3, 19];

    /** Columns between two digits at most, and beside the number where a letter would make it a word. */
    private const NEXT = 6;

    private const WORD = 16;

    /** Columns after a number in which a point stands that makes it the number of an exercise, and rows of it at most. */
    private const POINT = [9, 9];

    /** Rows by which digits of one number end apart. */
    private const LEVEL = 3;

    private const LONGEST = 3;

    /** The number above the left of a staff; null where none stands there. */
    public static function above(Staff $staff): ?int
    {
        $digits = array_values(array_filter($staff->blobs, static fn (Blob $blob): bool => self::mayBe($blob) && $blob->right <= $staff->opening->end));
        if ($digits === [] || count($digits) > self::LONGEST || ! self::standAlone($digits, $staff->blobs)) {
            return null;
        }
        $number = 0;
        foreach ($digits as $i => $digit) {
            $before = $digits[$i - 1] ?? null;
            [$value, $far] = Digits::nearest($digit);
            if ($far > self::LIKE || $before !== null && ($digit->left - $before->right > self::NEXT || abs($digit->bottom - $before->bottom) > self::LEVEL)) {
                return null;
            }
            $number = 10 * $number + $value;
        }

        return $number === 0 ? null : $number;
    }

    private static function mayBe(Blob $blob): bool
    {
        return $blob->bottom <= Strip::TOP - self::ABOVE[0] && $blob->top >= Strip::TOP - self::ABOVE[1]
            && $blob->height() >= self::HIGH[0] && $blob->height() <= self::HIGH[1] && $blob->width() >= self::WIDE[0] && $blob->width() <= self::WIDE[1];
    }

    /**
     * No letter at their side makes them a word, and no point after them the number of an exercise.
     *
     * @param non-empty-list<Blob> $digits
     * @param list<Blob>           $blobs
     */
    private static function standAlone(array $digits, array $blobs): bool
    {
        $last = $digits[count($digits) - 1];
        foreach ($blobs as $blob) {
            [$after, $before] = [$blob->left - $last->right, $digits[0]->left - $blob->right];
            $isPoint = $after >= -1 && $after < self::POINT[0] && $blob->height() <= self::POINT[1];
            $isLetter = $after < self::WORD && $before < self::WORD && self::mayBe($blob) && ! in_array($blob, $digits, true);
            if (($isPoint || $isLetter) && abs($blob->bottom - $last->bottom) <= self::LEVEL) {
                return false;
            }
        }

        return true;
    }

    /**
     * A number above the first line that no later line goes on from is that of an exercise.
     *
     * @param  list<int|null> $numbers by line
     * @param  list<int>      $counts  bars of each line
     * @return list<int|null> those that count bars
     */
    public static function ofBars(array $numbers, array $counts): array
    {
        $first = $numbers[0] ?? null;
        foreach ($first === null || $first <= 1 ? [] : $numbers as $line => $number) {
            // A bar more or less may have been read.
            if ($line > 0 && $number !== null && abs($number - $first - array_sum(array_slice($counts, 0, $line))) <= 1) {
                return $numbers;
            }
        }

        return $first === null || $first <= 1 ? $numbers : [null, ...array_slice($numbers, 1)];
    }

    /**
     * Lines in which more or fewer bars were read than the numbers of the lines after them say.
     *
     * @param  list<int|null> $numbers by line
     * @param  list<int>      $counts  bars of each line
     * @return list<int>      of them
     */
    public static function miscounted(array $numbers, array $counts): array
    {
        [$from, $at] = [0, $numbers[0] ?? 1];
        $wrong = [];
        foreach ($numbers as $line => $number) {
            if ($line === 0 || $number === null) {
                continue;
            }
            $missing = $number - $at - array_sum(array_slice($counts, $from, $line - $from));
            // The first line may begin with a pickup, which is not counted.
            $fits = $missing === 0 || $missing === -1 && $from === 0;
            if (! $fits && $line - $from === 1) {
                $wrong[] = $from;
            }
            [$from, $at] = [$line, $number];
        }

        return $wrong;
    }
}
