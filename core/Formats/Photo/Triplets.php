<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Three under one beam in the time of two, where a bar has just that much too much. */
final class Triplets
{
    /**
     * @param list<Item> $items of one staff in one bar
     * @param int        $over  ticks that are too many
     */
    public static function settle(array $items, int $over): void
    {
        $threes = [];
        $sum = 0;
        foreach (self::beamed($items) as $group) {
            $base = $group[0]->base;
            $same = array_filter($group, static fn (Item $item): bool => $item->base === $base && $item->dots === 0) === $group;
            if (count($group) === 3 && $same && $base % 3 === 0 && $group[1]->hasThree) {
                $threes[] = $group;
                $sum += $base;
            }
        }
        if ($over <= 0 || $sum !== $over) {
            return;
        }
        foreach ($threes as $group) {
            foreach ($group as $item) {
                $item->base = intdiv(2 * $item->base, 3);
            }
        }
    }

    /**
     * @param  list<Item>                 $items
     * @return list<non-empty-list<Item>> what is under one beam
     */
    private static function beamed(array $items): array
    {
        $groups = [];
        $group = [];
        foreach ($items as $item) {
            $group[] = $item;
            if (! $item->beamedOn) {
                $groups[] = $group;
                $group = [];
            }
        }
        if ($group !== []) {
            $groups[] = $group;
        }

        return array_values(array_filter($groups, static fn (array $one): bool => $one[0]->beams > 0));
    }
}
