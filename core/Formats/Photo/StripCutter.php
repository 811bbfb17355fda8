<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Cuts a staff out of a picture along its own lines, and says what is ink and what is paper. */
final class StripCutter
{
    /** Spaces before and after the lines. */
    private const AROUND = 3;

    /** Rows and columns that paper is measured over. */
    private const TILE = 32;

    /** Columns a row that a stroke may lean. */
    private const UPRIGHT = 0.02;

    /** The share of its paper's brightness that ink lacks at least, from bold print to a faint copy. */
    private const THRESHOLDS = [0.318, 0.22, 0.15];

    public static function cut(Picture $picture, StaffPath $path): Strip
    {
        $strip = self::strip($picture, $path, [0.0, 0.0], Look::First);
        $lean = self::lean($strip);

        return max(abs($lean[0]), abs($lean[0] + $lean[1] * $strip->width())) > self::UPRIGHT ? self::strip($picture, $path, $lean, Look::First) : $strip;
    }

    /** The same staff looked at a second time. */
    public static function again(Picture $picture, Strip $first): Strip
    {
        return self::strip($picture, $first->path, $first->tilt, Look::Second);
    }

    /**
     * How the strokes of stems and bars lean in the strip: where the camera looked from the side they do, and more at one end.
     *
     * @return array{float, float} columns a row, and how much more each column
     */
    private static function lean(Strip $strip): array
    {
        $fit = new LineFit();
        foreach (Stems::of($strip) as $stem) {
            $lean = $stem->height() < 44 ? null : self::leanOf($strip, $stem);
            if ($lean !== null && abs($lean) < 0.2) {
                $fit->add($stem->x, $lean, $stem->height());
            }
        }

        return $fit->count < 4 ? [0.0, 0.0] : $fit->line() ?? [0.0, 0.0];
    }

    /** Columns to the right a row downwards, where the stroke is nothing but one. */
    private static function leanOf(Strip $strip, Stem $stem): ?float
    {
        $fit = new LineFit();
        $from = max(0, (int) $stem->x - 10);
        for ($y = $stem->top + 2; $y < $stem->bottom - 2; $y++) {
            $row = substr($strip->bareRows[$y] ?? '', $from, 21);
            $ink = substr_count($row, "\1");
            $first = strpos($row, "\1");
            if ($first !== false && $ink <= 5 && strspn($row, "\1", $first) === $ink) {
                $fit->add($y, $first + ($ink - 1) / 2);
            }
        }

        return $fit->count < 24 ? null : $fit->line()[1] ?? null;
    }

    /** @param array{float, float} $tilt as lean() says */
    private static function strip(Picture $picture, StaffPath $path, array $tilt, Look $look): Strip
    {
        [$grey, $pageX] = self::straightened($picture, $path, $tilt, $look->aside());
        $paper = self::paper($grey);
        $best = null;
        foreach (self::THRESHOLDS as $threshold) {
            $columns = self::inked($grey, $paper, $look->ink() * $threshold);
            [$line, $share] = self::line($columns);
            // A lower one is for lines that a higher one breaks.
            if ($best === null || $share > 1.25 * $best[2]) {
                $best = [$columns, $line, $share];
            }
            if ($share > 0.8) {
                break;
            }
        }

        return new Strip($best[0], $pageX, $best[1], $path, $grey, $tilt);
    }

    /**
     * @param  array{float, float}              $tilt
     * @param  float                            $aside pixels of the strip that it begins to the right
     * @return array{list<string>, list<float>} columns of brightness, and where each is in the picture
     */
    private static function straightened(Picture $picture, StaffPath $path, array $tilt, float $aside): array
    {
        $width = $picture->width();
        $last = $picture->height - 2;
        $columns = [];
        $pageX = [];
        $x = max(0.0, $path->from - self::AROUND * $path->spaceAt($path->from));
        $x += $aside * $path->spaceAt($x) / Strip::SPACE;
        $end = min($width - 1.0, $path->to() + self::AROUND * $path->spaceAt($path->to()));
        $half = Strip::TOP + 2 * Strip::SPACE;
        while ($x < $end) {
            $space = $path->spaceAt($x);
            $step = $space / Strip::SPACE;
            $middle = $path->middleAt($x);
            // Along the normal of the staff: what is above is to the side where the page leans.
            $lean = ($path->middleAt($x + 16) - $path->middleAt($x - 16)) / 32 - $tilt[0] - $tilt[1] * count($columns);
            $y = $middle - $half * $step;
            $line = '';
            $of = -99_999;
            $column = '';
            for ($r = 0; $r < Strip::HEIGHT; $r++, $y += $step) {
                if (($r & 15) === 0) {
                    $at = (int) round($x - $lean * ($y + 8 * $step - $middle));
                    if ($at !== $of) {
                        $of = $at;
                        $column = $picture->columns[max(0, min($width - 1, $at))] ?? '';
                    }
                }
                if ($y < 0 || $y >= $last) {
                    $line .= "\xFF";

                    continue;
                }
                $i = (int) $y;
                $value = ord($column[$i]);
                $line .= chr((int) ($value + ($y - $i) * (ord($column[$i + 1]) - $value)));
            }
            $columns[] = $line;
            $pageX[] = $x;
            $x += $step;
        }

        return [$columns, $pageX];
    }

    /**
     * @param  list<string>      $columns
     * @return list<list<float>> the brightness of the paper by tile, column of tiles first
     */
    private static function paper(array $columns): array
    {
        $tiles = [];
        for ($x = 0, $width = count($columns); $x < $width; $x += self::TILE) {
            $row = [];
            for ($y = 0; $y < Strip::HEIGHT; $y += self::TILE) {
                $part = '';
                for ($i = $x; $i < min($width, $x + self::TILE); $i += 2) {
                    $part .= substr($columns[$i] ?? '', $y, self::TILE);
                }
                $row[] = self::percentile($part, 0.8);
            }
            $tiles[] = $row;
        }

        return $tiles;
    }

    private static function percentile(string $bytes, float $share): float
    {
        $left = (1 - $share) * strlen($bytes);
        $counts = count_chars($bytes, 1);
        krsort($counts);
        foreach ($counts as $value => $count) {
            $left -= $count;
            if ($left <= 0) {
                return max(1.0, $value);
            }
        }

        return 255.0;
    }

    /**
     * @param  list<string>      $columns
     * @param  list<list<float>> $paper
     * @return list<string>
     */
    private static function inked(array $columns, array $paper, float $threshold): array
    {
        $maps = [];
        $all = implode('', array_map(chr(...), range(0, 255)));
        $last = count($paper) - 1;
        $rows = intdiv(Strip::HEIGHT, self::TILE) - 1;
        $inked = [];
        foreach ($columns as $x => $column) {
            $at = max(0.0, min((float) $last, ($x - self::TILE / 2) / self::TILE));
            $left = $paper[(int) $at] ?? [];
            $right = $paper[min($last, (int) $at + 1)] ?? $left;
            $share = $at - (int) $at;
            $line = '';
            for ($y = 0; $y < Strip::HEIGHT; $y += 8) {
                $down = max(0.0, min((float) $rows, ($y + 4 - self::TILE / 2) / self::TILE));
                $top = (int) $down;
                $below = min($rows, $top + 1);
                $high = ($left[$top] ?? 255.0) + $share * (($right[$top] ?? 255.0) - ($left[$top] ?? 255.0));
                $low = ($left[$below] ?? 255.0) + $share * (($right[$below] ?? 255.0) - ($left[$below] ?? 255.0));
                $edge = (int) ((1 - $threshold) * ($high + ($down - $top) * ($low - $high)));
                $maps[$edge] ??= str_repeat("\1", $edge).str_repeat("\0", 256 - $edge);
                $line .= strtr(substr($column, $y, 8), $all, $maps[$edge]);
            }
            $inked[] = $line;
        }

        return $inked;
    }

    /**
     * How thick the lines are, and the share of columns in which they can be seen.
     *
     * @param  list<string>      $columns
     * @return array{int, float}
     */
    private static function line(array $columns): array
    {
        $votes = [];
        $seen = 0;
        $asked = 0;
        $count = count($columns);
        for ($x = (int) (0.1 * $count); $x < 0.9 * $count; $x += 2) {
            $column = $columns[$x] ?? '';
            for ($i = 0; $i < 5; $i++) {
                $row = Strip::TOP + $i * Strip::SPACE;
                $asked++;
                $ink = strpos(substr($column, $row - 2, 5), "\1");
                if ($ink === false) {
                    continue;
                }
                $seen++;
                $from = $row - 2 + $ink;
                while ($column[$from - 1] === "\1" && $from > $row - 12) {
                    $from--;
                }
                $run = strspn($column, "\1", $from);
                if ($run <= 7) {
                    $votes[$run] = ($votes[$run] ?? 0) + 1;
                }
            }
        }
        arsort($votes);

        return [array_key_first($votes) ?? 2, $asked === 0 ? 0.0 : $seen / $asked];
    }
}
