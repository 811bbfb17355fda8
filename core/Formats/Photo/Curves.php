<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds thin lines that go from left to right: column by column, each goes on where it was going. */
final class Curves
{
    /** Rows of a thin line at most. */
    private const THIN = 7;

    /** Columns that may be hidden by a stem or a bar line, and where little has been seen of it. */
    private const HIDDEN = 8;

    private const EARLY = 3;

    /** Columns over which its way is measured, and rows by which it may leave that, with every hidden column a little more. */
    private const WAY = 12;

    private const ASTRAY = 1.6;

    private const MORE = 0.05;

    /** Columns of a part that can be joined to another at least, and rows by which it may miss that. */
    private const PART = 10;

    private const MEETS = 4.0;

    /** Columns between two parts at most. */
    private const APART = 22;

    /** Columns of one at least, and the share of them that is seen. */
    private const SHORTEST = 28;

    private const SEEN = 0.6;

    /** @return list<Curve> from left to right by their ends */
    public static function of(Strip $strip, int $from): array
    {
        $curves = [];
        /** @var list<non-empty-array<int, float>> $open */
        $open = [];
        $width = $strip->width();
        for ($x = $from; $x < $width; $x++) {
            preg_match_all('/(?<!\x01)\x01{1,'.self::THIN.'}(?!\x01)/', $strip->bareColumns[$x] ?? '', $runs, PREG_OFFSET_CAPTURE);
            $thin = array_map(static fn (array $run): float => $run[1] + (strlen($run[0]) - 1) / 2, $runs[0]);
            $going = [];
            foreach ($open as $rows) {
                $k = self::next($rows, $x, $thin);
                if ($k !== null) {
                    $rows[$x] = $thin[$k];
                    unset($thin[$k]);
                }
                $last = array_key_last($rows);
                if ($x - $last <= (count($rows) < self::WAY ? self::EARLY : self::HIDDEN)) {
                    $going[] = $rows;
                } else {
                    $curves[] = $rows;
                }
            }
            foreach ($thin as $row) {
                $going[] = [$x => $row];
            }
            // What has been seen longest takes what it goes to first.
            usort($going, static fn (array $a, array $b): int => count($b) <=> count($a));
            $open = $going;
        }
        $parts = array_filter([...$curves, ...$open], static fn (array $rows): bool => count($rows) >= self::PART);
        $joined = self::joined(array_map(static fn (array $rows): Curve => new Curve($rows), array_values($parts)));

        return array_values(array_filter($joined, static fn (Curve $curve): bool => $curve->length() >= self::SHORTEST && count($curve->rows) >= self::SEEN * $curve->length()));
    }

    /**
     * Where a slur goes through a line of the staff, its two parts are one.
     *
     * @param  list<Curve> $parts
     * @return list<Curve>
     */
    private static function joined(array $parts): array
    {
        usort($parts, static fn (Curve $a, Curve $b): int => $a->left() <=> $b->left());
        for ($i = 0; isset($parts[$i]); $i++) {
            [$best, $least] = [null, self::MEETS];
            for ($k = $i + 1; isset($parts[$k]); $k++) {
                $apart = $parts[$k]->left() - $parts[$i]->right();
                if ($apart > self::APART) {
                    break;
                }
                if ($apart > -self::EARLY) {
                    $off = $parts[$i]->missedBy($parts[$k]);
                    [$best, $least] = $off < $least ? [$k, $off] : [$best, $least];
                }
            }
            if ($best !== null) {
                $parts[$i] = new Curve($parts[$i]->rows + $parts[$best]->rows);
                array_splice($parts, $best, 1);
                $i--;
            }
        }

        return $parts;
    }

    /**
     * @param  non-empty-array<int, float> $rows so far, by column
     * @param  array<int, float>           $thin middles of what is thin in a column
     * @return int|null                    which of them it goes on to
     */
    private static function next(array $rows, int $x, array $thin): ?int
    {
        if ($thin === []) {
            return null;
        }
        $last = array_key_last($rows);
        $slope = 0.0;
        for ($back = self::WAY; $back >= self::WAY / 2; $back--) {
            if (isset($rows[$last - $back])) {
                $slope = ($rows[$last] - $rows[$last - $back]) / $back;
                break;
            }
        }
        $expected = $rows[$last] + $slope * ($x - $last);
        [$best, $nearest] = [null, self::ASTRAY + self::MORE * ($x - $last)];
        foreach ($thin as $k => $row) {
            if (abs($row - $expected) <= $nearest) {
                [$best, $nearest] = [$k, abs($row - $expected)];
            }
        }

        return $best;
    }
}
