<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds ties: a thin curve from a head to the next one on the same place. */
final readonly class TieReader
{
    /** Rows from the middle of a head within which a curve runs. */
    private const NEAR = 4;

    private const FAR = 22;

    private const THICKEST = 7;

    /** The share of the columns between two heads that show the curve. */
    private const SEEN = 0.7;

    /** Columns between two heads over which a tie is drawn at most. */
    private const LONGEST = 700;

    public function __construct(private Strip $strip) {}

    /** @param list<Item> $items of a staff from left to right */
    public function give(array $items): void
    {
        foreach ($items as $i => $item) {
            $next = self::after($items, $i);
            foreach ($item->heads as $head) {
                foreach ($next->heads ?? [] as $other) {
                    if ($other->place === $head->place && $other->sign === null && $this->isTied($head, $other)) {
                        $head->tied = true;
                    }
                }
            }
        }
    }

    /**
     * The next one, or where another voice stands between them the next whose stem goes the same way.
     *
     * @param list<Item> $items
     */
    private static function after(array $items, int $i): ?Item
    {
        $next = $items[$i + 1] ?? null;
        for ($k = $i + 1; isset($items[$k]) && $k <= $i + 3 && $items[$i]->stem !== null; $k++) {
            if ($items[$k]->stem?->up === $items[$i]->stem->up) {
                return array_intersect(array_column($items[$i]->heads, 'place'), array_column($items[$k]->heads, 'place')) === [] ? $next : $items[$k];
            }
        }

        return $next;
    }

    private function isTied(Head $head, Head $other): bool
    {
        $from = (int) ($head->x + $head->width / 2) + 2;
        $to = (int) ($other->x - $other->width / 2) - 2;

        return $to - $from >= 8 && $to - $from <= self::LONGEST && ($this->curves($from, $to, $head->y(), 1) || $this->curves($from, $to, $head->y(), -1));
    }

    /** @param int $way 1 below the heads, -1 above */
    private function curves(int $from, int $to, int $y, int $way): bool
    {
        $rows = [];
        for ($x = $from; $x <= $to; $x++) {
            $row = $this->rowAt($x, $y, $way, $rows === [] ? null : $rows[array_key_last($rows)]);
            if ($row !== null) {
                $rows[$x] = $row;
            }
        }
        if (count($rows) < self::SEEN * ($to - $from + 1)) {
            return false;
        }
        // It bends away in the middle.
        $columns = array_keys($rows);
        $third = intdiv(count($columns), 3);
        $mean = static fn (int $first, int $count): float => array_sum(array_map(static fn (int $x): int => $rows[$x] ?? 0, array_slice($columns, $first, $count))) / max(1, $count);

        return $way * ($mean($third, $third) - ($mean(0, $third) + $mean(count($columns) - $third, $third)) / 2) >= 0.8;
    }

    /** The middle of a thin stretch of ink near the heads, and near the column before. */
    private function rowAt(int $x, int $y, int $way, ?int $before): ?int
    {
        $column = $this->strip->bareColumns[$x] ?? '';
        for ($d = self::NEAR; $d <= self::FAR; $d++) {
            $row = $y + $way * $d;
            if (($column[$row] ?? "\0") !== "\1") {
                continue;
            }
            $first = $row;
            while (($column[$first - 1] ?? "\0") === "\1") {
                $first--;
            }
            $run = strspn($column, "\1", $first);
            $middle = $first + intdiv($run, 2);
            if ($run <= self::THICKEST && ($before === null || abs($middle - $before) <= 3)) {
                return $middle;
            }
            $d = max($d, abs($way > 0 ? $first + $run - $y : $y - $first));
        }

        return null;
    }
}
