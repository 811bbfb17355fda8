<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/**
 * Makes the lengths of a bar come to the bar: what is read stays where it does, else the least doubtful change is made; what
 * stands above or below it in the other hand says which.
 */
final class Rhythm
{
    /** Rows that a flag hangs down where it is surely one, and surely none. */
    private const FLAG = 24;

    private const NO_FLAG = 18;

    /** Ways to a length that are kept. */
    private const WAYS = 4;

    /** How much unlikelier the next best way is where there is no doubt. */
    private const CLEAR = 0.6;

    /** One change that is often needed, and nothing against it. */
    private const SIMPLE = 1.25;

    /** What was seen, as a second beam, is sooner there than what is small, as a dot, is not. */
    private const SEEN = 1.3;

    /** Before a last, shorter note under its beam a dot is hardly missing. */
    private const DOTTED = 0.5;

    /** A beam that goes on to the next note, or a whole flag, is hardly none. */
    private const JOINED = 1.7;

    /** How much more room a shorter note may have, and how unlikely more is. */
    private const CROWDED = 1.3;

    private const CROWD = 0.5;

    /** Pixels of the picture within which two signs are struck together, and beyond which they are not. */
    private const TOGETHER = 9.0;

    private const APART = 24.0;

    /**
     * @param  list<Item>               $items  of one staff in one bar, from left to right
     * @param  int                      $length of the bar, in ticks
     * @param  list<Item>               $beside what the other hand plays, where its lengths are sure
     * @return array{list<Item>, bool} what is kept, with onsets, and whether it is sure
     */
    public static function settle(array $items, int $length, array $beside = []): array
    {
        $count = count($items);
        if ($count === 1 && $items[0]->isRest() && $items[0]->fillsBar) {
            $items[0]->base = $length;
            $items[0]->dots = 0;

            return [$items, true];
        }
        Triplets::settle($items, self::sum($items) - $length);
        if (self::sum($items) === $length && ! self::isCrowded($items, array_map(static fn (Item $item): array => [$item->base, $item->dots, $item->beams], $items))) {
            return [self::placed($items), true];
        }
        $ways = [];
        foreach (self::ways($items, $length) as [$cost, $chosen]) {
            $ways[] = [$cost + self::strain($items, $chosen, $beside), $chosen];
        }
        usort($ways, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        if ($ways === []) {
            return [self::placed($items), false];
        }
        $kept = [];
        $changed = 0;
        $hollow = 0;
        foreach ($ways[0][1] as $i => $option) {
            $item = $items[$i];
            if ($option === null) {
                $hollow += $item->heads !== [] && $item->heads[0]->hollow ? 1 : 0;
                $changed += 1;

                continue;
            }
            [$base, $dots, $beams] = $option;
            $isOther = $base !== $item->base || $dots !== $item->dots;
            $changed += $isOther ? 1 : 0;
            $item->seen = $isOther ? [$item->base, $item->dots] : null;
            [$item->base, $item->dots, $item->beams] = [$base, $dots, $beams];
            $kept[] = $item;
        }
        $clear = isset($ways[1]) ? $ways[1][0] - $ways[0][0] : 0.0;
        // A hole in a natural or a sharp looks like a hollow head; without it the bar is right.
        $sure = $ways[0][0] < self::SIMPLE && $clear >= self::CLEAR || $changed === 1 && $hollow === 1 && $clear >= 2 * self::CLEAR;

        return [self::placed($kept), $sure];
    }

    /**
     * The likeliest choices of lengths that come to the bar.
     *
     * @param  list<Item>                                                  $items
     * @return list<array{float, list<array{int, int, int}|null>}> how unlikely, and what each becomes
     */
    private static function ways(array $items, int $length): array
    {
        /** @var array<int, list<array{float, list<array{int, int, int}|null>}>> $best by ticks so far */
        $best = [0 => [[0.0, []]]];
        foreach ($items as $i => $item) {
            $next = [];
            foreach ($best as $ticks => $ways) {
                foreach (self::options($item, $items[$i + 1] ?? null) as [$more, $option]) {
                    $to = $ticks + ($option === null ? 0 : self::ticks($option));
                    if ($to <= $length) {
                        foreach ($ways as [$cost, $chosen]) {
                            $next[$to][] = [$cost + $more, [...$chosen, $option]];
                        }
                    }
                }
            }
            $best = [];
            foreach ($next as $to => $ways) {
                usort($ways, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
                $best[$to] = array_slice($ways, 0, self::WAYS);
            }
        }

        return $best[$length] ?? [];
    }

    /**
     * How badly a choice stands beside the other hand.
     *
     * @param list<Item>                           $items
     * @param list<array{int, int, int}|null> $chosen
     * @param list<Item>                           $beside
     */
    private static function strain(array $items, array $chosen, array $beside): float
    {
        $strain = self::isCrowded($items, $chosen) ? self::CROWD : 0.0;
        $onset = 0;
        foreach ($chosen as $i => $option) {
            foreach ($option === null ? [] : $beside as $other) {
                $right = $items[$i]->pageX - $other->pageX;
                $later = $onset <=> $other->onset;
                $strain += match (true) {
                    abs($right) < self::TOGETHER => $later === 0 ? 0.0 : 0.7,
                    abs($right) > self::APART => $later === ($right <=> 0.0) ? 0.0 : 0.4,
                    default => 0.0,
                };
            }
            $onset += $option === null ? 0 : self::ticks($option);
        }

        return $strain;
    }

    /**
     * Whether a longer note has clearly less room after it than a shorter one beside it.
     *
     * @param list<Item>                           $items
     * @param list<array{int, int, int}|null> $chosen
     */
    private static function isCrowded(array $items, array $chosen): bool
    {
        $before = null;
        foreach ($items as $i => $item) {
            $next = $items[$i + 1] ?? null;
            $option = $chosen[$i] ?? null;
            if ($next === null || $option === null) {
                break;
            }
            $here = [self::ticks($option), $next->pageX - $item->pageX];
            if ($before !== null) {
                [$long, $short] = $before[0] > $here[0] ? [$before, $here] : [$here, $before];
                if ($long[0] > $short[0] && $long[1] * self::CROWDED < $short[1]) {
                    return true;
                }
            }
            $before = $here;
        }

        return false;
    }

    /** @param list<Item> $items */
    public static function sum(array $items): int
    {
        return array_sum(array_map(static fn (Item $item): int => $item->ticks(), $items));
    }

    /**
     * @param  list<Item> $items
     * @return list<Item>
     */
    private static function placed(array $items): array
    {
        $at = 0;
        foreach ($items as $item) {
            $item->onset = $at;
            $at += $item->ticks();
        }

        return $items;
    }

    /** @param array{int, int, int} $option */
    private static function ticks(array $option): int
    {
        return ReadSign::length($option[0], $option[1]);
    }

    /** How unlikely another number of beams is: a number at the end of a stem is taken for one, a thin flag is not seen. */
    private static function flagged(Item $item, int $beams): float
    {
        return match (true) {
            $item->flag === null => $beams === 0 ? self::JOINED : ($beams < $item->beams ? self::SEEN : 1.0),
            $beams === 0 && $item->flag > 0 && $item->flag < self::NO_FLAG, $beams === 1 && $item->beams === 0 && $item->flag >= self::FLAG => 0.3,
            $beams === 0 && $item->flag >= self::FLAG => self::JOINED,
            default => 1.0,
        };
    }

    /** @return list<array{float, array{int, int, int}|null}> what a sign may be instead, and how unlikely that is */
    private static function options(Item $item, ?Item $next): array
    {
        $options = [[0.0, [$item->base, $item->dots, $item->beams]]];
        $isDotted = $item->beamedOn && $next !== null && ! $next->beamedOn && $next->beams === $item->beams + 1;
        $options[] = [$item->dots > 0 ? 1.05 : ($isDotted ? self::DOTTED : 1.1), [$item->base, $item->dots > 0 ? 0 : 1, $item->beams]];
        if ($item->isRest()) {
            $options[] = [1.3, [$item->base * 2, 0, 0]];
            $options[] = [1.3, [$item->base >> 1, 0, $item->beams]];
            // What fills a bar stands alone in it.
            $options[] = [$item->fillsBar ? 1.2 : 1.6, null];

            return $options;
        }
        if ($item->stem !== null && $item->base <= Item::QUARTER) {
            foreach ([$item->beams - 1, $item->beams + 1] as $beams) {
                if ($beams >= 0 && $beams <= 2) {
                    $options[] = [self::flagged($item, $beams), [Item::QUARTER >> $beams, $item->dots, $beams]];
                    $options[] = [1.9, [Item::QUARTER >> $beams, 1 - min(1, $item->dots), $beams]];
                }
            }
        }
        if ($item->stem !== null && $item->beams === 0) {
            $options[] = [1.4, [$item->base === 2 * Item::QUARTER ? Item::QUARTER : 2 * Item::QUARTER, $item->dots, 0]];
        }
        if ($item->stem === null) {
            $options[] = [1.3, [$item->base >> 1, $item->dots, 0]];
        }
        $options[] = [2.2 + 4 * ($item->sure - 0.9), null];

        return $options;
    }
}
