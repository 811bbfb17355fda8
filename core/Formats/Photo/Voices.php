<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/**
 * Tells two voices on one staff apart: stems of the upper go up, of the lower down; a rest or a whole note is of the one that
 * lacks it, and what is struck together stands above one another.
 */
final class Voices
{
    /** Columns within which two notes are struck together, and beyond which they are not. */
    private const TOGETHER = 14;

    private const APART = 28;

    /** Signs of which it is asked which voice they are of. */
    private const ASKED = 6;

    /** How much worse a way is by a tick that is missing or over, by two signs that stand in the wrong order, by a rest outside the staff. */
    private const TICK = 10;

    private const ORDER = 40;

    private const ASIDE = 150;

    /**
     * @param  list<Item>                 $items  of one staff in one bar, from left to right
     * @param  list<Item>                 $aside  rests outside the staff
     * @param  int                        $length of the bar, in ticks
     * @return non-empty-list<list<Item>> one voice, or the upper and the lower; each item knows its own
     */
    public static function of(array $items, array $aside, int $length): array
    {
        // What is longer than the bar is no note of it.
        $fitting = array_values(array_filter($items, static fn (Item $item): bool => $item->isRest() || $item->base <= $length));
        if (Rhythm::sum($items) <= $length || ! self::areTwo($fitting)) {
            return [$items];
        }
        $best = [$items];
        $least = PHP_INT_MAX;
        foreach (self::ways($items, $aside) as [$upper, $lower, $outside]) {
            $strain = self::TICK * (abs(Rhythm::sum($upper) - $length) + abs(Rhythm::sum($lower) - $length)) + self::ORDER * self::disorder($upper, $lower) + self::ASIDE * $outside;
            if ($strain < $least) {
                [$best, $least] = [[$upper, $lower], $strain];
            }
        }
        foreach ($best[1] ?? [] as $item) {
            $item->voice = 1;
        }

        return $best;
    }

    /**
     * Two notes above one another, each with a stem of its own or one without, or a note and a rest: one voice has none such.
     *
     * @param list<Item> $items
     */
    private static function areTwo(array $items): bool
    {
        foreach ($items as $i => $item) {
            foreach (array_slice($items, $i + 1) as $other) {
                $apart = abs($item->x - $other->x);
                if ($item->isRest() || $other->isRest()) {
                    if ($apart <= self::TOGETHER) {
                        return true;
                    }

                    continue;
                }
                [$upper, $lower] = $item->heads[0]->place > $other->heads[0]->place ? [$item, $other] : [$other, $item];
                // A step below a head the other one stands beside it.
                $beside = $upper->heads[0]->place - $lower->heads[count($lower->heads) - 1]->place === 1;
                if ($apart <= ($beside ? self::APART : self::TOGETHER) && $upper->stem?->up !== false && $lower->stem?->up !== true && ($upper->stem ?? $lower->stem) !== null) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  list<Item>                                  $items
     * @param  list<Item>                                  $aside
     * @return list<array{list<Item>, list<Item>, int}> the upper voice, the lower one, and how many rests outside the staff are taken
     */
    private static function ways(array $items, array $aside): array
    {
        $ways = [[[], [], 0]];
        $asked = 0;
        $all = [...$items, ...$aside];
        usort($all, static fn (Item $a, Item $b): int => $a->x <=> $b->x);
        foreach ($all as $item) {
            $choices = match (true) {
                $item->stem !== null => [$item->stem->up === true ? 0 : 1],
                $item->aside !== null && self::isNumber($item, $items) => [null],
                ++$asked > self::ASKED => [$item->aside === null ? 0 : null],
                $item->aside !== null => [null, $item->aside],
                default => [0, 1],
            };
            $more = [];
            foreach ($ways as [$upper, $lower, $outside]) {
                foreach ($choices as $voice) {
                    $more[] = [$voice === 0 ? [...$upper, $item] : $upper, $voice === 1 ? [...$lower, $item] : $lower, $outside + ($item->aside !== null && $voice !== null ? 1 : 0)];
                }
            }
            $ways = $more;
        }

        return array_values(array_filter($ways, static fn (array $way): bool => $way[0] !== [] && $way[1] !== []));
    }

    /**
     * Where the same voice strikes a note there is no rest of it, but the number of a finger.
     *
     * @param list<Item> $items
     */
    private static function isNumber(Item $aside, array $items): bool
    {
        foreach ($items as $item) {
            if ($item->stem !== null && ($item->stem->up === true ? 0 : 1) === $aside->aside && abs($item->x - $aside->x) <= self::TOGETHER) {
                return true;
            }
        }

        return false;
    }

    /**
     * Pairs of the two voices that stand in another order than they are played in.
     *
     * @param list<Item> $upper
     * @param list<Item> $lower
     */
    private static function disorder(array $upper, array $lower): int
    {
        $pairs = 0;
        $at = 0;
        foreach ($upper as $item) {
            $to = 0;
            foreach ($lower as $other) {
                $right = $other->x - $item->x;
                $pairs += match ($to <=> $at) {
                    0 => abs($right) > self::APART ? 1 : 0,
                    1 => $right < -self::TOGETHER ? 1 : 0,
                    default => $right > self::TOGETHER ? 1 : 0,
                };
                $to += $other->ticks();
            }
            $at += $item->ticks();
        }

        return $pairs;
    }
}
