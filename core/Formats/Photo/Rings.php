<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds the hollow heads of a chord that are seen once one of them is: a second at the other side, a third whose ring runs into it. */
final class Rings
{
    /** Places of a chord in one column, from a head that is known. */
    private const STACKED = [-4, -3, -2, 2, 3, 4];

    /** The share of a ring that is ink in a head. */
    private const CLOSED = 0.95;

    private const CLOSED_IN_STACK = 0.9;

    /** And in what may be one. */
    private const PERHAPS = 0.75;

    /** The share of ink within a hollow head, its ring with it: more is a filled one, less is none. */
    private const INKED = 0.4;

    private const FILLED = 0.85;

    /** What a ring shows of a head at least. */
    private const LEAST = 0.7;

    /** How much more of a ring there is where a head stands than a step beside it. */
    private const BETTER = 0.15;

    /** The share of a hole that may be ink: beside a stem it is narrow, in a stack of thirds it is open. */
    private const HOLE = 0.75;

    private const HOLE_IN_STACK = 0.4;

    /** How sure a head is that was seen by its ring alone. */
    private const SURE = 0.9;

    /** Rays from the middle of a head on which ink is looked for, and rows to the middle of the ring above and below it. */
    private const RAYS = 32;

    private const HIGH = 8;

    /** Rows around a line of the staff that say nothing. */
    private const LINED = 2;

    /**
     * A hollow head stands where its ring is; what has none is no head.
     *
     * @param  list<Head> $heads
     * @return list<Head>
     */
    public static function placed(Strip $strip, array $heads): array
    {
        $kept = [];
        foreach ($heads as $head) {
            $placed = $head->hollow ? self::nearest($strip, $head) : $head;
            if ($placed !== null && ($placed === $head || ! self::isTaken($placed, $head, [...$heads, ...$kept]))) {
                $kept[] = $placed;
            }
        }

        return $kept;
    }

    /** @param list<Head> $heads */
    private static function isTaken(Head $placed, Head $own, array $heads): bool
    {
        foreach ($heads as $other) {
            if ($other !== $own && $other->place === $placed->place && abs($other->x - $placed->x) < $placed->width / 2) {
                return true;
            }
        }

        return false;
    }

    private static function nearest(Strip $strip, Head $head): ?Head
    {
        $own = self::around($strip, $head);
        [$best, $most, $next] = [$head, self::like($own), -1.0];
        foreach ([-1, 1] as $steps) {
            $other = new Head($head->x, $head->place + $steps, true, $head->width, $head->sure);
            $like = self::like(self::around($strip, $other));
            if ($like > self::like($own) + self::BETTER && $like > $most && Ledgers::hold($strip, $other)) {
                [$best, $most] = [$other, $like];
            }
            $next = max($next, $like);
        }
        if ($best !== $head) {
            [$best->tallLeft, $best->tallRight] = [$head->tallLeft, $head->tallRight];

            return $best;
        }
        if ($most - $next > self::BETTER && $head->doubt === 'place') {
            $head->doubt = null;
        }

        return $own[0] < self::LEAST ? null : $head;
    }

    /** @param array{float, float} $ring */
    private static function like(array $ring): float
    {
        return $ring[0] - $ring[1] / 2;
    }

    /**
     * @param  list<Head> $heads  of one chord, hollow
     * @param  list<Head> $others what is known on the staff, of this chord or another
     * @return list<Head> what belongs to them
     */
    public static function beside(Strip $strip, array $heads, ?Stem $stem, array $others = []): array
    {
        $found = [];
        $others = array_values(array_filter($others, static fn (Head $other): bool => ! in_array($other, $heads, true)));
        $candidates = self::candidates($heads, $stem);
        while ($candidates !== []) {
            [$perhaps, $closed, $hole] = array_shift($candidates);
            // Outside the staff letters have rings as well, and no lines of their own.
            if (! self::isFree($perhaps, [...$heads, ...$found]) || self::isOther($perhaps, $others) || ! Ledgers::hold($strip, $perhaps)) {
                continue;
            }
            [$share, $ink] = self::around($strip, $perhaps);
            $full = self::full($strip, $perhaps, $stem);
            if ($share >= $closed && ($ink <= $hole || $full >= self::INKED && $full <= self::FILLED)) {
                $perhaps->stem = $stem;
                $found[] = $perhaps;
                array_push($candidates, ...self::candidates([$perhaps], $stem));
            } elseif ($share >= self::PERHAPS && $full >= self::INKED) {
                $heads[0]->doubt ??= 'more';
            }
        }

        return $found;
    }

    /**
     * Two heads in one column are two steps apart at least.
     *
     * @param list<Head> $heads
     */
    private static function isFree(Head $perhaps, array $heads): bool
    {
        foreach ($heads as $head) {
            if ($head->place === $perhaps->place || abs($head->place - $perhaps->place) === 1 && abs($head->x - $perhaps->x) < $head->width / 2) {
                return false;
            }
        }

        return true;
    }

    /**
     * A head of another voice has a stem of its own.
     *
     * @param list<Head> $others
     */
    private static function isOther(Head $perhaps, array $others): bool
    {
        foreach ($others as $other) {
            if (abs($other->place - $perhaps->place) <= 1 && abs($other->x - $perhaps->x) < $other->width / 2 + 2) {
                return true;
            }
        }

        return false;
    }

    /** The share of ink where a head may be, apart from its stem and the lines. */
    private static function full(Strip $strip, Head $head, ?Stem $stem): float
    {
        [$of, $ink] = [0, 0];
        $x = (int) round($head->x);
        for ($row = $head->y() - 5; $row <= $head->y() + 5; $row++) {
            for ($column = $x - 8; $column <= $x + 8 && ! Strip::isOnLine($row, self::LINED); $column++) {
                if ($stem === null || abs($column - $stem->x) > 3) {
                    $of++;
                    $ink += ($strip->bareRows[$row][$column] ?? "\0") === "\1" ? 1 : 0;
                }
            }
        }

        return $of === 0 ? 0.0 : $ink / $of;
    }

    /**
     * @param  list<Head>                               $heads
     * @return list<array{Head, float, float}> what may be there, how much of its ring has to be, and how much ink may be in its hole
     */
    private static function candidates(array $heads, ?Stem $stem): array
    {
        $candidates = [];
        foreach ($heads as $head) {
            $at = static fn (float $x, int $steps): Head => new Head($x, $head->place + $steps, true, $head->width, self::SURE);
            foreach (self::STACKED as $steps) {
                $candidates[] = [$at($head->x, $steps), self::CLOSED_IN_STACK, self::HOLE_IN_STACK];
            }
            foreach ($stem === null ? [$head->x - $head->width + 2, $head->x + $head->width - 2] : [2 * $stem->x - $head->x] as $x) {
                array_push($candidates, [$at($x, -1), self::CLOSED, self::HOLE], [$at($x, 1), self::CLOSED, self::HOLE]);
            }
        }

        return $candidates;
    }

    /**
     * How much of a ring is there, a little to the left or the right, and how much ink in its hole; both from 0 to 1. The
     * lines of the staff, which go through all rings, are not looked at.
     *
     * @return array{float, float}
     */
    private static function around(Strip $strip, Head $head): array
    {
        $best = [0.0, 1.0];
        for ($shift = -2; $shift <= 2; $shift++) {
            $told = [self::ring($strip, $head->x + $shift, $head), self::hole($strip, (int) round($head->x + $shift), $head->y())];
            $best = $told[0] - $told[1] > $best[0] - $best[1] ? $told : $best;
        }

        return $best;
    }

    private static function ring(Strip $strip, float $x, Head $head): float
    {
        [$rays, $hits] = [0, 0];
        for ($i = 0; $i < self::RAYS; $i++) {
            [$dx, $dy] = [cos(2 * M_PI * $i / self::RAYS) * ($head->width / 2 - 1), sin(2 * M_PI * $i / self::RAYS) * self::HIGH];
            $ink = null;
            foreach ([0.7, 0.8, 0.9, 1.0, 1.1] as $far) {
                $row = (int) round($head->y() + $far * $dy);
                if (! Strip::isOnLine($row, self::LINED)) {
                    $ink = $ink === true || ($strip->rows[$row][(int) round($x + $far * $dx)] ?? "\0") === "\1";
                }
            }
            $rays += $ink === null ? 0 : 1;
            $hits += $ink === true ? 1 : 0;
        }

        return $rays === 0 ? 0.0 : $hits / $rays;
    }

    private static function hole(Strip $strip, int $x, int $y): float
    {
        [$of, $ink] = [0, 0];
        for ($row = $y - 4; $row <= $y + 4; $row++) {
            if (! Strip::isOnLine($row, self::LINED)) {
                $of += 9;
                $ink += Strip::ink($strip->rows[$row] ?? '', $x - 4, 9);
            }
        }

        return $of === 0 ? 0.0 : $ink / $of;
    }
}
