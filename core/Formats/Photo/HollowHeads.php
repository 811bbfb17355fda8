<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds holes with a ring around them: halves and whole notes. */
final class HollowHeads
{
    private const RAYS = 24;

    /** A stem at one side speaks for a place. */
    private const STEMMED = 0.008;

    /** @return list<Head> */
    public static function of(Strip $strip, int $from): array
    {
        $found = [];
        $bare = self::bare($strip);
        $bareRows = Strip::turned($bare, Strip::HEIGHT);
        for ($place = -11; $place <= 19; $place++) {
            // On a line the hole is seen once the line is out; in a space the lines close the ring.
            [$rows, $columns] = $place % 2 === 0 ? [$bareRows, $bare] : [$strip->rows, $strip->columns];
            $row = Strip::row($place);
            foreach ([0, -2, 2] as $shift) {
                $line = substr($rows[$row + $shift] ?? '', $from);
                if (preg_match_all('/(?<=\x01)\x00{2,20}(?=\x01)/', $line, $holes, PREG_OFFSET_CAPTURE) === false) {
                    continue;
                }
                if ($shift === 0 && $place % 2 === 0) {
                    array_push($found, ...self::halved($strip, $from, $row, $place));
                }
                foreach ($holes[0] as [$hole, $at]) {
                    $head = self::ring($columns, $rows, $from + $at + (strlen($hole) - 1) / 2, $row + $shift, $place, abs($shift));
                    if ($head !== null) {
                        $found[] = $head;
                    }
                }
            }
        }

        return $found;
    }

    /**
     * A thick line halves a slanted hole: paper above it to the right, and below it to the left.
     *
     * @return list<Head>
     */
    private static function halved(Strip $strip, int $from, int $row, int $place): array
    {
        $found = [];
        $lower = self::holes($strip->rows[$row + 5] ?? '', $from);
        foreach (self::holes($strip->rows[$row - 5] ?? '', $from) as [$upFrom, $upTo]) {
            foreach ($lower as [$downFrom, $downTo]) {
                $aslant = ($upFrom + $upTo - $downFrom - $downTo) / 2;
                if ($aslant < 2.5 || $aslant > 13) {
                    continue;
                }
                $right = self::edge($strip->rows[$row - 5] ?? '', $upTo, 1);
                $left = self::edge($strip->rows[$row + 5] ?? '', $downFrom, -1);
                $up = $strip->columns[intdiv($upFrom + $upTo, 2)] ?? '';
                $down = $strip->columns[intdiv($downFrom + $downTo, 2)] ?? '';
                // Closed above and below, and inked where the ring is thick.
                $closed = str_contains(substr($up, max(0, $row - 11), 6), "\1") && str_contains(substr($down, $row + 6, 6), "\1")
                    && Strip::ink($strip->rows[$row - 5] ?? '', $downFrom, 5) >= 3 && Strip::ink($strip->rows[$row + 5] ?? '', $upTo - 4, 5) >= 3;
                if ($left !== null && $right !== null && $closed && $right - $left >= 15 && $right - $left <= 30) {
                    $head = new Head(($left + $right) / 2, $place, true, $right - $left + 1, 0.985);
                    $head->tallLeft = self::run($strip->bareColumns[$left + 1] ?? '', $row + 5) > 26;
                    $head->tallRight = self::run($strip->bareColumns[$right - 1] ?? '', $row - 5) > 26;
                    $found[] = $head;
                }
            }
        }

        return $found;
    }

    /** @return list<array{int, int}> first and last column of paper between ink */
    private static function holes(string $row, int $from): array
    {
        $holes = [];
        preg_match_all('/(?<=\x01)\x00{3,14}(?=\x01)/', substr($row, $from), $found, PREG_OFFSET_CAPTURE);
        foreach ($found[0] as [$hole, $at]) {
            $holes[] = [$from + $at, $from + $at + strlen($hole) - 1];
        }

        return $holes;
    }

    /**
     * @param list<string> $columns
     * @param list<string> $rows
     */
    private static function ring(array $columns, array $rows, float $x, int $y, int $place, int $shift): ?Head
    {
        [$left, $right] = [self::edge($rows[$y] ?? '', (int) floor($x), -1), self::edge($rows[$y] ?? '', (int) ceil($x), 1)];
        if ($left === null || $right === null) {
            return null;
        }
        $width = $right - $left + 1;
        if ($width < 15 || $width > 36) {
            return null;
        }
        $hits = 0;
        $sideways = 0;
        for ($i = 0; $i < self::RAYS; $i++) {
            $angle = 2 * M_PI * $i / self::RAYS;
            [$dx, $dy] = [cos($angle), sin($angle)];
            $inside = false;
            for ($r = 0.0; $r <= 1.16; $r += 0.08) {
                $px = (int) round($x + $dx * $r * ($width / 2 + 1));
                $py = (int) round($y + $dy * $r * 9);
                if (($columns[$px][$py] ?? "\0") === "\1") {
                    $inside = true;
                    break;
                }
            }
            if ($inside) {
                $hits++;
                $sideways += abs($dx) > 0.6 ? 1 : 0;
            }
        }
        if ($hits < 20 || $sideways < 13) {
            return null;
        }
        // A bar line beside a stem, or two strokes of a sharp, go on above and below.
        $tall = [];
        foreach ([-1, 1] as $side) {
            $tall[] = max(self::run($columns[(int) round($x + $side * ($width / 2 - 2))] ?? '', $y), self::run($columns[(int) round($x + $side * $width / 2)] ?? '', $y)) > 26;
        }
        $closed = self::run($columns[(int) round($x)] ?? '', $y - 8) + self::run($columns[(int) round($x)] ?? '', $y + 8);
        if ($tall === [true, true] || $closed === 0) {
            return null;
        }
        // A hole is as far open upwards as downwards; half of one, on a line, is not.
        $aslant = abs(self::open($columns, $x, $y, -1) - self::open($columns, $x, $y, 1));
        $head = new Head(($left + $right) / 2, $place, true, $width, 0.86 + 0.004 * $hits - 0.01 * $shift - 0.012 * $aslant + ($place % 2 === 0 ? 0.02 : 0.0) + ($tall[0] !== $tall[1] ? self::STEMMED : 0.0));
        [$head->tallLeft, $head->tallRight] = $tall;

        return $head;
    }

    /** @return int|null the outer side of the ring, from inside the hole */
    private static function edge(string $row, int $x, int $way): ?int
    {
        for ($i = 0; $i < 22; $i++, $x += $way) {
            if (($row[$x] ?? "\0") === "\1") {
                $from = $x;
                while (($row[$x + $way] ?? "\0") === "\1" && abs($x - $from) < 24) {
                    $x += $way;
                }

                // A ring is thin: a filled head with a dot beside it is none.
                return abs($x - $from) > 11 ? null : $x;
            }
        }

        return null;
    }

    /**
     * Rows of paper from the middle on.
     *
     * @param list<string> $columns
     */
    private static function open(array $columns, float $x, int $y, int $way): float
    {
        $rows = 0;
        foreach ([(int) floor($x), (int) ceil($x)] as $column) {
            for ($d = 0; $d < 10 && ($columns[$column][$y + $way * $d] ?? "\1") === "\0"; $d++) {
                $rows++;
            }
        }

        return $rows / 2;
    }

    private static function run(string $column, int $y): int
    {
        for ($d = 0; $d <= 3; $d++) {
            foreach ([$y - $d, $y + $d] as $at) {
                if (($column[$at] ?? "\0") === "\1") {
                    $from = $at;
                    while (($column[$from - 1] ?? "\0") === "\1") {
                        $from--;
                    }

                    return strspn($column, "\1", $from);
                }
            }
        }

        return 0;
    }

    /**
     * Ledger lines go through holes as the lines of the staff do.
     *
     * @return list<string>
     */
    public static function bare(Strip $strip): array
    {
        // They are a little thicker.
        $most = $strip->line + 3;
        $bare = [];
        foreach ($strip->bareColumns as $column) {
            for ($row = Strip::TOP - 5 * Strip::SPACE; $row <= Strip::BOTTOM + 5 * Strip::SPACE; $row += Strip::SPACE) {
                $ink = strpos(substr($column, $row - 2, 5), "\1");
                if (($row < Strip::TOP || $row > Strip::BOTTOM) && $ink !== false) {
                    $from = $row - 2 + $ink;
                    while ($from > 0 && $column[$from - 1] === "\1") {
                        $from--;
                    }
                    $run = strspn($column, "\1", $from);
                    if ($run <= $most) {
                        $column = substr_replace($column, str_repeat("\0", $run), $from, $run);
                    }
                }
            }
            $bare[] = $column;
        }

        return $bare;
    }
}
