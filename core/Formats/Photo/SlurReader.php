<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds slurs: a bent line from one note to a later one, above them or below; and ties that are not seen whole. */
final class SlurReader
{
    /** Columns from the middle of a note to the end of a line that goes away from it, and of one that comes over it. */
    private const AWAY = 26;

    private const OVER = 12;

    /** Rows that the end of a slur is above what stands there, or below it, at most. */
    private const BESIDE = 32;

    /** Rows from a head to its tie. */
    private const AT_HEAD = 20;

    /**
     * @param  list<Item>  $items  of a staff, from left to right
     * @param  list<Curve> $curves
     * @return array{Item|null, Item|null} the note to which one comes from the line before, and the one from which one goes on to the next
     */
    public static function give(array $items, array $curves): array
    {
        $slurs = [];
        [$first, $last] = self::ends($items);
        [$comes, $goes] = [null, null];
        foreach ($curves as $curve) {
            if ($curve->bend() === 0) {
                continue;
            }
            $from = self::noteAt($items, $curve->left(), $curve->leftRow(), self::AWAY, self::OVER);
            $to = self::noteAt($items, $curve->right(), $curve->rightRow(), self::OVER, self::AWAY);
            if ($from !== null && $to !== null && $from < $to) {
                if (self::isTie($items, $from, $to)) {
                    self::tie($items[$from], $items[$to], $curve);
                } else {
                    $slurs[] = [$from, $to];
                }
            } elseif ($to !== null && $curve->left() < $first?->x - self::OVER) {
                $comes ??= $items[$to];
            } elseif ($from !== null && $curve->right() > $last?->x + self::OVER) {
                $goes = $items[$from];
            }
        }
        // What is read of a slur in part is within the whole.
        usort($slurs, static fn (array $a, array $b): int => $b[1] - $b[0] <=> $a[1] - $a[0]);
        $kept = [];
        foreach ($slurs as [$from, $to]) {
            if (array_filter($kept, static fn (array $other): bool => $from < $other[1] && $to > $other[0]) === []) {
                $kept[] = [$from, $to];
                $items[$from]->lines[] = LineEnd::SlurStart;
                $items[$to]->lines[] = LineEnd::SlurEnd;
            }
        }

        return [$comes, $goes];
    }

    /** From the end of a line to the beginning of the next one: a tie where the same note follows, else a slur that is seen on both. */
    public static function over(Staff $line, Staff $next): void
    {
        $last = self::ends($line->items)[1];
        $first = self::ends($next->items)[0];
        [$from, $to] = [$line->slurGoes, $next->slurComes];
        if ($last === null || $first === null || $from === null && $to === null) {
            return;
        }
        $same = $line->opening->clef === $next->opening->clef ? self::same($last, $first) : [];
        if (($from === null || $from === $last) && ($to === null || $to === $first) && $same !== []) {
            foreach ($same as $head) {
                $head->tied = true;
            }
        } elseif ($from !== null && $to !== null) {
            $from->lines[] = LineEnd::SlurStart;
            $to->lines[] = LineEnd::SlurEnd;
        }
    }

    /**
     * @param  list<Item>                   $items
     * @return array{Item|null, Item|null} the first of the notes, and the last
     */
    private static function ends(array $items): array
    {
        $notes = array_values(array_filter($items, static fn (Item $item): bool => ! $item->isRest()));

        return [$notes[0] ?? null, $notes[count($notes) - 1] ?? null];
    }

    /**
     * @param  list<Item> $items
     * @param  int        $before columns that the note may be before the end of the line, and likewise behind
     * @return int|null   the nearest
     */
    private static function noteAt(array $items, int $x, float $row, int $before, int $behind): ?int
    {
        [$best, $nearest] = [null, PHP_INT_MAX];
        foreach ($items as $i => $item) {
            $right = $item->x - $x;
            if ($item->isRest() || $right < -$before || $right > $behind || abs($right) >= $nearest) {
                continue;
            }
            [$top, $bottom] = $item->rows();
            if ($row > $top - self::BESIDE && $row < $bottom + self::BESIDE) {
                [$best, $nearest] = [$i, abs($right)];
            }
        }

        return $best;
    }

    /** The head that a curve goes from, where the next one is on the same place. */
    private static function tie(Item $from, Item $to, Curve $curve): void
    {
        $row = ($curve->leftRow() + $curve->rightRow()) / 2;
        $both = self::same($from, $to);
        usort($both, static fn (Head $a, Head $b): int => abs($a->y() - $row) <=> abs($b->y() - $row));
        if ($both !== [] && abs($both[0]->y() - $row) < self::AT_HEAD) {
            $both[0]->tied = true;
        }
    }

    /** @return list<Head> those of a note that the next one has too */
    private static function same(Item $from, Item $to): array
    {
        return array_values(array_filter($from->heads, static fn (Head $head): bool => array_filter($to->heads, static fn (Head $other): bool => $other->place === $head->place && $other->sign === null) !== []));
    }

    /** @param list<Item> $items */
    private static function isTie(array $items, int $from, int $to): bool
    {
        $between = array_filter(array_slice($items, $from + 1, $to - $from - 1), static fn (Item $item): bool => ! $item->isRest());

        return $between === [] && array_intersect(array_column($items[$from]->heads, 'place'), array_column($items[$to]->heads, 'place')) !== [];
    }
}
