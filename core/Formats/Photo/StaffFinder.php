<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/**
 * Finds the staves of a picture: in every band of columns a comb of five dark lines with light between them, linked from
 * band to band, and drawn smoothly through them.
 */
final class StaffFinder
{
    /** Columns of a band. */
    private const BAND = 2 * Decoder::SPACE;

    /** Bands that a staff may be hidden in, by a shadow or by many notes. */
    private const HIDDEN = 7;

    /** Spaces that lines may be off where they are expected in the next band. */
    private const OFF = 0.3;

    /** Bands between two parts of one staff, at most. */
    private const APART = 14;

    /** How much the distance of lines may differ in one staff, or in two of a line. */
    private const ALIKE = 0.07;

    /** Bands that a staff has at least. */
    private const SHORTEST = 6;

    /** Likewise beside another that is surely there, and spaces between the middles of two staves of a line. */
    private const FEWEST = 4;

    private const TWO = [6, 16];

    /** What lines show at least where a staff goes on, rows around them in which they may be, and bands that may be missed. */
    private const FAINT = 0.015;

    private const AROUND = 6;

    private const MISSED = 3;

    /** Spaces at either end by which a mirage is shorter than the staff it is near, and spaces between their middles. */
    private const INSIDE = 4;

    private const NEAR = 8;

    /** @return list<StaffPath> from the top of the page */
    public static function find(Picture $picture): array
    {
        $profiles = [];
        for ($x = 0; $x + self::BAND <= $picture->width(); $x += self::BAND) {
            $profiles[] = Combs::profile($picture, $x, self::BAND);
        }
        $paths = [];
        $tracks = self::joined(self::tracks(array_map(Combs::of(...), $profiles)));
        foreach ($tracks as $i => $track) {
            $others = array_diff_key($tracks, [$i => true]);
            $paths[] = self::smooth(self::grown($profiles, self::grown($profiles, $track, 1, $others), -1, $others));
        }
        usort($paths, static fn (StaffPath $a, StaffPath $b): int => $a->middleAt(($a->from + $a->to()) / 2) <=> $b->middleAt(($b->from + $b->to()) / 2));

        return self::whole($paths);
    }

    /**
     * @param  list<list<array{float, float, float}>>     $bands
     * @return list<array<int, array{float, float, float}>> by band
     */
    private static function tracks(array $bands): array
    {
        $seeds = [];
        foreach ($bands as $band => $combs) {
            foreach ($combs as $i => [, , $score]) {
                $seeds[] = [$score, $band, $i];
            }
        }
        usort($seeds, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $used = [];
        $tracks = [];
        foreach ($seeds as [, $band, $i]) {
            if (isset($used[$band][$i])) {
                continue;
            }
            $track = [$band => $bands[$band][$i] ?? [0.0, 0.0, 0.0]];
            $used[$band][$i] = true;
            foreach ([1, -1] as $way) {
                self::follow($bands, $track, $used, $band, $way);
            }
            ksort($track);
            $tracks[] = $track;
        }

        return $tracks;
    }

    /**
     * Where a staff goes on beyond its ends, faint lines are enough.
     *
     * @param  list<list<float>>                                          $profiles by band
     * @param  non-empty-array<int, array{float, float, float}>         $track
     * @param  array<int, array<int, array{float, float, float}>>       $others
     * @return non-empty-array<int, array{float, float, float}>
     */
    private static function grown(array $profiles, array $track, int $way, array $others): array
    {
        $last = $way > 0 ? (int) array_key_last($track) : (int) array_key_first($track);
        for ($band = $last + $way; isset($profiles[$band]) && abs($band - $last) <= self::MISSED; $band += $way) {
            [$y, $space] = self::local($track, $band);
            foreach ($others as $other) {
                // A shorter one is a mirage.
                if (count($other) >= count($track) && isset($other[$band]) && abs($other[$band][0] - $y) < 4 * $space) {
                    return $track;
                }
            }
            $best = [0.0, $space, self::FAINT];
            for ($at = (int) $y - self::AROUND; $at <= $y + self::AROUND; $at++) {
                $score = Combs::score($profiles[$band], $at, $space);
                $best = $score > $best[2] ? [(float) $at, $space, $score] : $best;
            }
            if ($best[2] > self::FAINT) {
                $track[$band] = Combs::centred($profiles[$band], $best);
                $last = $band;
            }
        }
        ksort($track);

        return $track;
    }

    /**
     * What goes on at the same height after a stretch in which something else looked more like lines is one staff.
     *
     * @param  list<array<int, array{float, float, float}>>           $tracks by band
     * @return list<non-empty-array<int, array{float, float, float}>>
     */
    private static function joined(array $tracks): array
    {
        $long = array_filter($tracks, static fn (array $track): bool => count($track) >= self::SHORTEST);
        $tracks = array_values(array_filter($tracks, static fn (array $track): bool => count($track) >= self::SHORTEST || $track !== [] && self::isFainter($track, $long)));
        usort($tracks, static fn (array $a, array $b): int => array_key_first($a) <=> array_key_first($b));
        for ($i = 0; isset($tracks[$i]); $i++) {
            for ($k = $i + 1; isset($tracks[$k]); $k++) {
                $own = self::goesOn($tracks[$i], $tracks[$k]) ? $tracks[$i] : self::untilLost($tracks[$i], $tracks[$k]);
                if ($own !== null) {
                    $tracks[$i] = $own + $tracks[$k];
                    array_splice($tracks, $k, 1);
                    $k = $i;
                }
            }
        }

        return $tracks;
    }

    /**
     * One of the two staves of a line may be printed so faintly that few bands show it: as long and as wide as the other, and a hand's width away.
     *
     * @param non-empty-array<int, array{float, float, float}>        $track
     * @param array<array<int, array{float, float, float}>>           $long
     */
    private static function isFainter(array $track, array $long): bool
    {
        [$first, $last] = [array_key_first($track), array_key_last($track)];
        if (count($track) < self::FEWEST || $last - $first < self::SHORTEST) {
            return false;
        }
        [$y, $space] = $track[$first];
        foreach ($long as $other) {
            $near = array_filter($other, static fn (int $band): bool => abs($band - $first) <= 2, ARRAY_FILTER_USE_KEY);
            if ($near !== [] && array_key_last($other) >= $last - 2) {
                [$at, $distance] = $near[array_key_first($near)];
                $apart = abs($at - $y) / $space;
                if (abs($distance - $space) < self::ALIKE * $space && $apart > self::TWO[0] && $apart < self::TWO[1]) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * A staff that was followed on to a mirage of it goes on where the other begins.
     *
     * @param  non-empty-array<int, array{float, float, float}>      $track
     * @param  non-empty-array<int, array{float, float, float}>      $next
     * @return non-empty-array<int, array{float, float, float}>|null as far as it was right
     */
    private static function untilLost(array $track, array $next): ?array
    {
        $first = array_key_first($next);
        $lost = array_key_last($track) - $first;
        if ($lost < 0 || $lost > self::APART || array_key_last($next) - array_key_last($track) < $lost) {
            return null;
        }
        for ($back = 1; $back <= self::HIDDEN; $back++) {
            $own = array_filter($track, static fn (int $band): bool => $band <= $first - $back, ARRAY_FILTER_USE_KEY);
            if (count($own) >= self::SHORTEST && self::goesOn($own, $next)) {
                return $own;
            }
        }

        return null;
    }

    /**
     * @param non-empty-array<int, array{float, float, float}> $track
     * @param non-empty-array<int, array{float, float, float}> $next
     */
    private static function goesOn(array $track, array $next): bool
    {
        [$last, $first] = [array_key_last($track), array_key_first($next)];
        $apart = $first - $last;
        if ($apart < 1 || $apart > self::APART) {
            return false;
        }
        [$y, $space] = $track[$last] ?? [0.0, 0.0];
        [$at, $distance] = $next[$first] ?? [0.0, 0.0];

        return abs($distance - $space) < self::ALIKE * $space && abs($y + $apart * self::slopeAt($track, $last, 1) - $at) < 0.4 * $space;
    }

    /**
     * @param list<list<array{float, float, float}>>  $bands
     * @param array<int, array{float, float, float}> $track
     * @param array<int, array<int, true>>             $used
     */
    private static function follow(array $bands, array &$track, array &$used, int $from, int $way): void
    {
        [$y, $space] = $track[$from] ?? [0.0, 0.0];
        $slope = self::slopeAt($track, $from, $way);
        $last = $from;
        for ($band = $from + $way; isset($bands[$band]) && abs($band - $last) <= self::HIDDEN; $band += $way) {
            $expected = $y + $slope * ($band - $last) * $way;
            $best = null;
            // A mirage is off by a line, less what the staff falls over a gap: of one band alone it is not known how it falls.
            $nearest = self::OFF * Decoder::SPACE + (count($track) === 1 ? 0.0 : 0.6 * abs($band - $last - $way));
            foreach ($bands[$band] as $i => [$at, $distance]) {
                if (! isset($used[$band][$i]) && abs($at - $expected) < $nearest && abs($distance - $space) < self::ALIKE * $space) {
                    $nearest = abs($at - $expected);
                    $best = $i;
                }
            }
            if ($best === null) {
                continue;
            }
            $track[$band] = $bands[$band][$best];
            $used[$band][$best] = true;
            [$y, $distance] = $track[$band];
            $space += 0.3 * ($distance - $space);
            $last = $band;
            $slope = self::slopeAt($track, $band, $way);
        }
    }

    /** @param array<int, array{float, float, float}> $track how much it falls from a band to the next that way */
    private static function slopeAt(array $track, int $band, int $way): float
    {
        for ($back = 8; $back >= 1; $back--) {
            if (isset($track[$band - $way * $back])) {
                return ($track[$band][0] - $track[$band - $way * $back][0]) / $back * ($back < 3 ? 0.7 : 1.0);
            }
        }

        return 0.0;
    }

    /** @param non-empty-array<int, array{float, float, float}> $track */
    private static function smooth(array $track): StaffPath
    {
        $first = (int) array_key_first($track);
        $last = (int) array_key_last($track);
        $points = array_map(
            static fn (int $x): array => self::local($track, ($x + 4.0 - self::BAND / 2) / self::BAND),
            range($first * self::BAND, ($last + 1) * self::BAND - 8, 8),
        );
        $middle = array_column($points, 0);
        $space = array_column($points, 1);

        return new StaffPath($first * self::BAND, self::drawn($middle), self::drawn($space));
    }

    /**
     * @param  non-empty-list<float> $points one every eight columns
     * @return non-empty-list<float> one every column
     */
    private static function drawn(array $points): array
    {
        $drawn = [];
        foreach ($points as $i => $point) {
            $next = $points[$i + 1] ?? 2 * $point - ($points[$i - 1] ?? $point);
            for ($k = 0; $k < 8; $k++) {
                $drawn[] = $point + $k / 8 * ($next - $point);
            }
        }

        return $drawn;
    }

    /**
     * A line through the bands around, the near ones counting more.
     *
     * @param  array<int, array{float, float, float}> $track
     * @return array{float, float}
     */
    private static function local(array $track, float $at): array
    {
        for ($reach = 5.0; $reach < 400; $reach *= 2) {
            $fit = new LineFit();
            [$spaces, $weights] = [0.0, 0.0];
            for ($band = (int) ($at - $reach); $band <= $at + $reach; $band++) {
                $point = $track[$band] ?? null;
                $weight = (1 - abs($band - $at) / ($reach + 0.01)) * ($point[2] ?? 0.0);
                if ($point !== null && $weight > 0) {
                    $fit->add($band - $at, $point[0], $weight);
                    $spaces += $weight * $point[1];
                    $weights += $weight;
                }
            }
            $line = $fit->count < 4 ? null : $fit->line();
            if ($line !== null) {
                return [$line[0], $spaces / $weights];
            }
        }
        $only = $track[(int) array_key_first($track)] ?? [0.0, 0.0, 0.0];

        return [$only[0], $only[1]];
    }

    /**
     * What stands on another is a mirage of it, shifted by a line; the longer one is the staff. So is what is between two.
     *
     * @param  list<StaffPath> $paths
     * @return list<StaffPath>
     */
    private static function whole(array $paths): array
    {
        $kept = [];
        foreach ($paths as $i => $path) {
            foreach ($paths as $j => $other) {
                $isShorter = count($path->middle) < count($other->middle) || (count($path->middle) === count($other->middle) && $i > $j);
                if ($i !== $j && (self::isInside($path, $other) || $isShorter && self::touches($path, $other))) {
                    continue 2;
                }
            }
            $kept[] = $path;
        }

        return $kept;
    }

    /** Whether two stand nearer to one another than two staves can. */
    private static function touches(StaffPath $path, StaffPath $other): bool
    {
        $from = max($path->from, $other->from);
        $overlap = min($path->to(), $other->to()) - $from;
        foreach ($overlap > 0 ? [0.2, 0.5, 0.8] : [] as $share) {
            $x = $from + $share * $overlap;
            if (abs($path->middleAt($x) - $other->middleAt($x)) < 4.2 * max($path->spaceAt($x), $other->spaceAt($x))) {
                return true;
            }
        }

        return false;
    }

    /** Whether it begins after another near it and ends before it, as slurs and hairpins between two staves do that look like lines. */
    private static function isInside(StaffPath $path, StaffPath $other): bool
    {
        $x = ($path->from + $path->to()) / 2;

        return $path->from > $other->from + self::INSIDE * Decoder::SPACE && $path->to() < $other->to() - self::INSIDE * Decoder::SPACE
            && abs($path->middleAt($x) - $other->middleAt($x)) < self::NEAR * $other->spaceAt($x);
    }
}
