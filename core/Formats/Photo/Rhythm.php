<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Makes the lengths of a bar come to the bar: what is read stays where it does, else the least doubtful change is made. */
final class Rhythm
{
    /**
     * @param  list<Item>      $items  of one staff in one bar, from left to right
     * @param  int             $length of the bar, in ticks
     * @return array{list<Item>, bool} what is kept, with onsets, and whether it came to the bar as it was read
     */
    public static function settle(array $items, int $length): array
    {
        $count = count($items);
        if ($count === 1 && $items[0]->isRest() && $items[0]->fillsBar) {
            $items[0]->base = $length;
            $items[0]->dots = 0;

            return [$items, true];
        }
        Triplets::settle($items, self::sum($items) - $length);
        if (self::sum($items) === $length) {
            return [self::placed($items), true];
        }
        /** @var array<int, array{float, list<array{int, int, int}|null>}> $best by ticks so far: cost, and what each became */
        $best = [0 => [0.0, []]];
        foreach ($items as $item) {
            $next = [];
            foreach ($best as $ticks => [$cost, $chosen]) {
                foreach (self::options($item) as [$more, $option]) {
                    $to = $ticks + ($option === null ? 0 : self::ticks($option));
                    if ($to <= $length && (! isset($next[$to]) || $cost + $more < $next[$to][0])) {
                        $next[$to] = [$cost + $more, [...$chosen, $option]];
                    }
                }
            }
            $best = $next;
        }
        if (! isset($best[$length])) {
            return [self::placed($items), false];
        }
        $kept = [];
        foreach ($best[$length][1] as $i => $option) {
            $item = $items[$i] ?? null;
            if ($option !== null && $item !== null) {
                [$base, $dots, $beams] = $option;
                $item->changed = $base !== $item->base || $dots !== $item->dots;
                [$item->base, $item->dots, $item->beams] = [$base, $dots, $beams];
                $kept[] = $item;
            }
        }

        return [self::placed($kept), false];
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
        return $option[0] * (2 ** ($option[1] + 1) - 1) >> $option[1];
    }

    /** @return list<array{float, array{int, int, int}|null}> what a sign may be instead, and how unlikely that is */
    private static function options(Item $item): array
    {
        $options = [[0.0, [$item->base, $item->dots, $item->beams]]];
        $options[] = [$item->dots > 0 ? 1.05 : 1.1, [$item->base, $item->dots > 0 ? 0 : 1, $item->beams]];
        if ($item->isRest()) {
            $options[] = [1.3, [$item->base * 2, 0, 0]];
            $options[] = [1.3, [$item->base >> 1, 0, $item->beams]];
            $options[] = [1.6, null];

            return $options;
        }
        if ($item->stem !== null && $item->base <= Item::QUARTER) {
            foreach ([$item->beams - 1, $item->beams + 1] as $beams) {
                if ($beams >= 0 && $beams <= 2) {
                    $options[] = [1.0, [Item::QUARTER >> $beams, $item->dots, $beams]];
                    $options[] = [1.9, [Item::QUARTER >> $beams, 1 - min(1, $item->dots), $beams]];
                }
            }
        }
        if ($item->stem !== null && $item->beams === 0) {
            $options[] = [1.4, [$item->base === 2 * Item::QUARTER ? Item::QUARTER : 2 * Item::QUARTER, $item->dots, 0]];
        }
        $options[] = [2.2 + 4 * ($item->sure - 0.9), null];

        return $options;
    }
}
