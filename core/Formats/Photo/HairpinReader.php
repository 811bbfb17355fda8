<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds hairpins: two straight lines that meet at one side. */
final class HairpinReader
{
    /** Rows from a staff to the middle of one at least. */
    private const BESIDE = 10;

    /** Rows between its arms where it is open. */
    private const OPEN = [7, 36];

    /** Columns by which the open ends of the two may differ, and rows between the arms where they meet. */
    private const EVEN = 10;

    private const MEET = 5.0;

    /** The share of the longer arm that the other is seen for at least: near where they meet they are one line. */
    private const SEEN = 0.55;

    /** Columns from the middle of a note to a hairpin that begins at it, or ends before it. */
    private const AT = 18;

    private const BEFORE = 6;

    /**
     * Those between the two staves of a line are of the upper one, on whichever strip they are seen.
     *
     * @param non-empty-list<Staff>                $staves of a line
     * @param non-empty-list<list<Curve>>          $curves by staff
     * @param int                                    $next the row of a strip where the next staff of the line begins
     */
    public static function give(array $staves, array $curves, int $next): void
    {
        $found = [];
        foreach ($staves as $i => $staff) {
            $bottom = isset($staves[$i + 1]) ? $next : Strip::HEIGHT;
            $top = $i === 0 ? Strip::TOP : Strip::TOP - ($next - Strip::BOTTOM);
            foreach (self::among($curves[$i] ?? []) as [$way, $left, $right, $row]) {
                $of = $row >= Strip::BOTTOM + self::BESIDE && $row < $bottom ? $i : ($row <= Strip::TOP - self::BESIDE && $row > $top ? $i - 1 : null);
                if ($of !== null) {
                    $found[] = [$of, $way, $staff->strip->pageX[$left] ?? 0.0, $staff->strip->pageX[$right] ?? 0.0];
                }
            }
        }
        foreach ($found as $k => [$of, $way, $left, $right]) {
            if (array_filter(array_slice($found, 0, $k), static fn (array $other): bool => $other[0] === $of && $other[2] < $right && $other[3] > $left) === []) {
                self::put($staves[$of]->items, $way, $left, $right);
            }
        }
    }

    /**
     * @param  list<Curve>                             $curves
     * @return list<array{LineEnd, int, int, float}> which way each opens, its ends, and the row of its middle
     */
    private static function among(array $curves): array
    {
        $found = [];
        $arms = array_values(array_filter($curves, static fn (Curve $curve): bool => $curve->isStraight()));
        foreach ($arms as $i => $arm) {
            foreach (array_slice($arms, $i + 1) as $other) {
                $way = self::way($arm, $other);
                if ($way !== null) {
                    $found[] = [$way, min($arm->left(), $other->left()), max($arm->right(), $other->right()), ($arm->leftRow() + $arm->rightRow() + $other->leftRow() + $other->rightRow()) / 4];
                }
            }
        }

        return $found;
    }

    /** Which way two lines open, if they are a hairpin. */
    private static function way(Curve $arm, Curve $other): ?LineEnd
    {
        [$from, $to] = [max($arm->left(), $other->left()), min($arm->right(), $other->right())];
        if ($to - $from < self::SEEN * max($arm->length(), $other->length())) {
            return null;
        }
        [$left, $right] = [self::apart($arm, $other, min($arm->left(), $other->left())), self::apart($arm, $other, max($arm->right(), $other->right()))];
        $opens = abs($right) > abs($left);
        $open = abs($opens ? $right : $left);
        $beside = $opens ? abs($arm->right() - $other->right()) : abs($arm->left() - $other->left());
        $isOne = $beside <= self::EVEN && $open >= self::OPEN[0] && $open <= self::OPEN[1] && abs($opens ? $left : $right) <= self::MEET;

        return ! $isOne ? null : ($opens ? LineEnd::Crescendo : LineEnd::Diminuendo);
    }

    /** Rows from one line to the other, as far as they go or would go. */
    private static function apart(Curve $arm, Curve $other, int $x): float
    {
        return $arm->rowAt($x) - $other->rowAt($x);
    }

    /**
     * @param list<Item> $items of a staff
     * @param float      $left  places of the picture
     */
    private static function put(array $items, LineEnd $way, float $left, float $right): void
    {
        [$from, $to] = [null, null];
        foreach ($items as $i => $item) {
            $from ??= $item->aside === null && $item->pageX > $left - self::AT ? $i : null;
            $to = $item->aside === null && $item->pageX < $right - self::BEFORE ? $i : $to;
        }
        if ($from !== null && $to !== null && $from <= $to) {
            $items[$from]->lines[] = $way;
            $items[$to]->lines[] = LineEnd::HairpinEnd;
        }
    }
}
