<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Counts the beams or flags at the free end of a stem. */
final class BeamCounter
{
    /** Columns from one stem to the next under a beam, at most. */
    private const LONGEST = 18 * Strip::SPACE;

    /** Columns beside a stem that a flag takes. */
    private const FLAG = 11;

    /** Columns that a number at the left of a stem takes at most. */
    private const SHORT = 16;

    public static function count(Strip $strip, Stem $stem): int
    {
        $ys = array_map(static fn (Head $head): int => $head->y(), $stem->heads);
        if ($ys === []) {
            return 0;
        }
        [$from, $to] = $stem->up === true ? [$stem->top - 3, min($ys) - 11] : [max($ys) + 11, $stem->bottom + 3];
        if ($to - $from < 8) {
            return 0;
        }
        $sides = [];
        foreach ([1, -1] as $way) {
            $edge = (int) round($stem->x) + $way * (intdiv($stem->width, 2) + 1);
            $counts = [];
            foreach ([4, 6, 8] as $off) {
                $counts[] = self::slabs($strip, $edge, $way, $off, max(0, $from), min(Strip::HEIGHT - 1, $to), $stem->up === true);
            }
            sort($counts);
            $sides[] = $counts[1];
        }

        return max($sides);
    }

    private static function slabs(Strip $strip, int $edge, int $way, int $off, int $from, int $to, bool $up): int
    {
        $column = $strip->bareColumns[$edge + $way * $off] ?? '';
        if ($column === '') {
            return 0;
        }
        $count = 0;
        $goesOn = $way > 0;
        $at = $from;
        while ($at < $to && ($at += strcspn($column, "\1", $at)) < $to) {
            $run = strspn($column, "\1", $at);
            $end = $up ? $at - $from : $to - $at - $run;
            if ($run >= 5 && $run <= 26 && $end <= 40 && self::hangs($strip, $edge, $way, $off, $at, $at + $run)) {
                $count += $run >= 17 ? 2 : 1;
                $goesOn = $goesOn || self::goesOn($strip, $edge, $off, $at, $at + $run);
            }
            $at += $run;
        }

        return $goesOn ? $count : 0;
    }

    /** It is one with the stem. */
    private static function hangs(Strip $strip, int $edge, int $way, int $off, int $top, int $bottom): bool
    {
        for ($d = $off - 1; $d >= 0; $d--) {
            $column = $strip->bareColumns[$edge + $way * $d] ?? '';
            $ink = strpos(substr($column, max(0, $top - 2), $bottom - $top + 4), "\1");
            if ($ink === false) {
                return false;
            }
        }

        return true;
    }

    /** Flags hang at the right of a stem: what is at its left and soon ends is a number that touches it. */
    private static function goesOn(Strip $strip, int $edge, int $off, int $top, int $bottom): bool
    {
        for ($d = $off + 2; $d <= self::SHORT; $d += 2) {
            $column = $strip->bareColumns[$edge - $d] ?? '';
            $first = strpos(substr($column, max(0, $top - 2), $bottom - $top + 4), "\1");
            if ($first === false) {
                return false;
            }
            $top = max(0, $top - 2) + $first;
            $bottom = $top + strspn($column, "\1", $top);
        }

        return true;
    }

    /** Rows of ink beside a stem from its free end on, at the side where it reaches further. */
    public static function flag(Strip $strip, Stem $stem): int
    {
        $right = (int) round($stem->x) + intdiv($stem->width, 2) + 3;

        return max(self::reach($strip, $stem, $right), self::reach($strip, $stem, (int) round($stem->x) - intdiv($stem->width, 2) - 2 - self::FLAG));
    }

    private static function reach(Strip $strip, Stem $stem, int $from): int
    {
        [$row, $way] = $stem->up === true ? [$stem->top - 2, 1] : [$stem->bottom + 1, -1];
        [$reach, $gap] = [0, 0];
        for ($i = 1; $i <= 60 && $gap <= ($reach === 0 ? 14 : 2); $i++, $row += $way) {
            [$reach, $gap] = Strip::ink($strip->bareRows[$row] ?? '', $from, self::FLAG) > 0 ? [$i, 0] : [$reach, $gap + 1];
        }

        return $reach;
    }

    /** Whether a beam goes from the end of one stem to the end of the next. */
    public static function joins(Strip $strip, Stem $from, Stem $to): bool
    {
        if ($from->up !== $to->up || $to->x - $from->x > self::LONGEST) {
            return false;
        }
        [$y0, $y1] = $from->up === true ? [$from->top + 3, $to->top + 3] : [$from->bottom - 4, $to->bottom - 4];
        for ($i = 1; $i <= 7; $i++) {
            $column = $strip->bareColumns[(int) ($from->x + $i / 8 * ($to->x - $from->x))] ?? '';
            if (substr_count(substr($column, max(0, (int) ($y0 + $i / 8 * ($y1 - $y0)) - 5), 11), "\1") < 4) {
                return false;
            }
        }

        return true;
    }
}
