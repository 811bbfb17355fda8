<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds what stands upright and is thin: stems, bar lines, the strokes of sharps. */
final class Stems
{
    private const SHORTEST = 30;

    /** The least of a stroke that a column shows where the print leans. */
    private const PART = 12;

    /** Rows of a stem that nothing is beside. */
    private const BARE = 10;

    /** Columns between two pieces of one stroke, and rows that may be torn out of it. */
    private const SAME = 3.0;

    private const TORN = 6;

    /** @return list<Stem> from left to right */
    public static function of(Strip $strip): array
    {
        $groups = [];
        $open = [];
        foreach ($strip->bareColumns as $x => $column) {
            $here = [];
            foreach (self::runs($column) as [$from, $to]) {
                if (self::isThin($strip, $x, $from, $to)) {
                    $joined = null;
                    foreach ($open as $id) {
                        [, $top, $bottom, $right] = $groups[$id];
                        if ($right === $x - 1 && $from <= $bottom + 2 && $to >= $top - 2) {
                            $joined = $id;
                            break;
                        }
                    }
                    if ($joined === null) {
                        $joined = count($groups);
                        $groups[] = [$x, $from, $to, $x, 0, 0];
                    }
                    [$left, $top, $bottom, , $sum, $weight] = $groups[$joined];
                    $groups[$joined] = [$left, min($top, $from), max($bottom, $to), $x, $sum + $x * ($to - $from), $weight + $to - $from];
                    $here[$joined] = $joined;
                }
            }
            $open = $here;
        }
        $stems = [];
        foreach ($groups as [$left, $top, $bottom, $right, $sum, $weight]) {
            if ($bottom - $top >= self::SHORTEST && $right - $left <= 6 + intdiv($bottom - $top, 12) && $weight > 0) {
                $stems[] = new Stem($sum / $weight, $top, $bottom, $right - $left + 1);
            }
        }
        usort($stems, static fn (Stem $a, Stem $b): int => $b->height() <=> $a->height());

        return self::joined($stems);
    }

    /**
     * A stroke that leans or is torn shows as several; the longest of them is where it stands.
     *
     * @param  list<Stem> $stems the longest first
     * @return list<Stem>
     */
    private static function joined(array $stems): array
    {
        $kept = [];
        foreach ($stems as $stem) {
            foreach ($kept as $i => $other) {
                if (abs($other->x - $stem->x) <= self::SAME && $stem->top <= $other->bottom + self::TORN && $stem->bottom >= $other->top - self::TORN) {
                    $kept[$i] = new Stem($other->x, min($stem->top, $other->top), max($stem->bottom, $other->bottom), $other->width);

                    continue 2;
                }
            }
            $kept[] = $stem;
        }
        usort($kept, static fn (Stem $a, Stem $b): int => $a->x <=> $b->x);

        return $kept;
    }

    /** @return list<array{int, int}> first row, one after the last */
    private static function runs(string $column): array
    {
        $column = str_replace(["\1\0\1", "\1\0\0\1"], ["\1\1\1", "\1\1\1\1"], $column);
        $runs = [];
        $at = 0;
        $length = strlen($column);
        while (($at += strcspn($column, "\1", $at)) < $length) {
            $run = strspn($column, "\1", $at);
            if ($run >= self::PART) {
                $runs[] = [$at, $at + $run];
            }
            $at += $run;
        }

        return $runs;
    }

    private static function isThin(Strip $strip, int $x, int $from, int $to): bool
    {
        $thin = 0;
        for ($i = 1; $i <= 10; $i++) {
            $row = $strip->bareRows[(int) ($from + $i * ($to - $from) / 11)] ?? '';
            $thin += Strip::ink($row, $x - 6, 13) <= 6 ? 1 : 0;
        }

        return $thin >= 3 || $thin > 0 && self::isBareSomewhere($strip, $x, $from, $to);
    }

    /** Between a chord and its beams little of a stem is seen, but in one piece. */
    private static function isBareSomewhere(Strip $strip, int $x, int $from, int $to): bool
    {
        $bare = 0;
        for ($row = $from; $row < $to && $bare < self::BARE; $row++) {
            $bare = Strip::ink($strip->bareRows[$row] ?? '', $x - 6, 13) <= 6 ? $bare + 1 : 0;
        }

        return $bare >= self::BARE;
    }
}
