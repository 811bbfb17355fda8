<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Five dark lines with light between them, in one band of columns. */
final class Combs
{
    /**
     * How dark each row of a band is against its paper, 0 to 1.
     *
     * @param int $x     the first column of the band
     * @param int $width columns of it
     *
     * @return list<float>
     */
    public static function profile(Picture $picture, int $x, int $width): array
    {
        $height = $picture->height;
        $sums = array_fill(0, $height, 0);
        for ($i = 1; $i < $width; $i += 4) {
            $column = $picture->columns[$x + $i] ?? '';
            for ($y = 0; $y < $height; $y++) {
                $sums[$y] += ord($column[$y]);
            }
        }
        $block = 3 * Decoder::SPACE;
        $paper = [];
        for ($y = 0; $y < $height; $y += $block) {
            $part = array_slice($sums, $y, $block);
            sort($part);
            $paper[] = max(1, $part[(int) (0.85 * (count($part) - 1))]);
        }
        $profile = [];
        $last = count($paper) - 1;
        for ($y = 0; $y < $height; $y++) {
            $at = max(0.0, min((float) $last, ($y - $block / 2) / $block));
            $low = (int) $at;
            $here = $paper[$low] + ($at - $low) * (($paper[min($last, $low + 1)]) - $paper[$low]);
            $profile[] = max(0.0, 1 - $sums[$y] / $here);
        }

        return self::soft($profile);
    }

    /**
     * @param  list<float> $dark
     * @return list<float>
     */
    private static function soft(array $dark): array
    {
        $soft = [];
        $count = count($dark);
        for ($y = 0; $y < $count; $y++) {
            $soft[] = (($dark[max(0, $y - 1)] ?? 0.0) + 2 * $dark[$y] + ($dark[min($count - 1, $y + 1)] ?? 0.0)) / 4;
        }

        return $soft;
    }

    /**
     * @param  list<float>                        $soft
     * @return list<array{float, float, float}> the middle line, the distance of the lines, and how sure
     */
    public static function of(array $soft): array
    {
        $found = [];
        $count = count($soft);
        $reach = (int) (2.4 * Decoder::SPACE);
        for ($y = $reach + 8; $y < $count - $reach - 8; $y++) {
            if ($soft[$y] < 0.05 || $soft[$y] < ($soft[$y - 1] ?? 0) || $soft[$y] <= ($soft[$y + 1] ?? 0)) {
                continue;
            }
            $best = [0.0, 0.0, 0.0];
            for ($space = 0.82 * Decoder::SPACE; $space <= 1.2 * Decoder::SPACE; $space += 0.25) {
                $score = self::score($soft, $y, $space);
                if ($score > $best[2]) {
                    $best = [(float) $y, $space, $score];
                }
            }
            if ($best[2] > 0.045) {
                $found[] = self::centred($soft, $best);
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[2] <=> $a[2]);
        $kept = [];
        foreach ($found as $one) {
            foreach ($kept as $other) {
                if (abs($one[0] - $other[0]) < 3.2 * Decoder::SPACE) {
                    continue 2;
                }
            }
            $kept[] = $one;
        }

        return $kept;
    }

    /**
     * How much five lines around a row stand out of what is between them; nothing is 0, and lines of good print are above 0.1.
     *
     * @param list<float> $soft
     */
    public static function score(array $soft, int $y, float $space): float
    {
        $lines = [];
        $gaps = 0.0;
        for ($i = -2; $i <= 2; $i++) {
            $at = (int) round($y + $i * $space);
            $lines[] = max($soft[$at] ?? 0.0, 0.9 * ($soft[$at - 1] ?? 0.0), 0.9 * ($soft[$at + 1] ?? 0.0));
        }
        for ($i = -2; $i < 2; $i++) {
            $gaps += $soft[(int) round($y + ($i + 0.5) * $space)] ?? 0.0;
        }
        // Five lines are as faint as each other; a beam or a row of letters is one dark one among light ones.
        $weakest = min($lines);
        $mean = (array_sum($lines) - max($lines)) / 4;
        $outside = (($soft[(int) round($y - 3 * $space)] ?? 0.0) + ($soft[(int) round($y + 3 * $space)] ?? 0.0)) / 2;

        return 0.5 * $weakest + 0.5 * $mean - 0.8 * $gaps / 4 - 0.15 * $outside;
    }

    /**
     * @param  list<float>                  $soft
     * @param  array{float, float, float} $comb
     * @return array{float, float, float}
     */
    public static function centred(array $soft, array $comb): array
    {
        [$y, $space, $score] = $comb;
        $fit = new LineFit();
        for ($i = -2; $i <= 2; $i++) {
            $at = (int) round($y + $i * $space);
            [$weight, $moment] = [0.0, 0.0];
            for ($d = -3; $d <= 3; $d++) {
                $value = max(0.0, ($soft[$at + $d] ?? 0.0) - 0.02) ** 2;
                $weight += $value;
                $moment += $value * ($at + $d);
            }
            if ($weight > 0) {
                $fit->add($i, $moment / $weight);
            }
        }
        $line = $fit->count < 4 ? null : $fit->line();

        return $line === null ? $comb : [$line[0], $line[1], $score];
    }
}
