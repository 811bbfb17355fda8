<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** A thin line that goes from left to right over a strip: a slur, a tie, an arm of a hairpin. */
final readonly class Curve
{
    /** Rows that its middle lies off the straight line between its ends, at least where it is bent, and the share of its length. */
    private const BENT = 2.0;

    private const SHARE = 0.02;

    /** Rows that any of it lies off that line at most where it is straight, and the share of its length by which a picture may bend it. */
    private const STRAIGHT = 2.0;

    private const BOWED = 0.006;

    /** The share of a bent line that lies on one side. */
    private const ONE_SIDE = 0.9;

    /** Columns at an end by which its way is told, how much that may turn from one part to the next, and how much the wrong way. */
    private const END = 20;

    private const TURN = 0.4;

    private const BACK = 0.15;

    /** Likewise between two straight ones, as those of two hairpins are. */
    private const KINK = 0.06;

    /** @param non-empty-array<int, float> $rows of its middle by column, from left to right; those that are hidden are left out */
    public function __construct(public array $rows) {}

    public function left(): int
    {
        return array_key_first($this->rows);
    }

    public function right(): int
    {
        return array_key_last($this->rows);
    }

    public function leftRow(): float
    {
        return $this->rows[$this->left()] ?? 0.0;
    }

    public function rightRow(): float
    {
        return $this->rows[$this->right()] ?? 0.0;
    }

    /** Where it is, or would be if it went on straight. */
    public function rowAt(int $x): float
    {
        return $this->rows[$x] ?? $this->leftRow() + ($this->rightRow() - $this->leftRow()) / max(1, $this->length()) * ($x - $this->left());
    }

    public function length(): int
    {
        return $this->right() - $this->left();
    }

    /**
     * Rows by which a part that begins where this one ends is not where this one goes to.
     *
     * @return float without end where the two do not make one line, straight or bent one way
     */
    public function missedBy(self $next): float
    {
        [$own, $other] = [self::line(array_slice($this->rows, -self::END, null, true)), self::line(array_slice($next->rows, 0, self::END, true))];
        $one = new self($this->rows + $next->rows);
        $turn = min($this->length(), $next->length()) >= 2 * self::END && $this->isStraight() && $next->isStraight() ? self::KINK : self::TURN;
        if ($own === null || $other === null || abs($own[1] - $other[1]) > $turn || ! $one->isStraight() && ($one->bend() === 0 || $one->bend() * ($other[1] - $own[1]) > self::BACK)) {
            return INF;
        }
        $x = ($this->right() + $next->left()) / 2;

        return abs($own[0] + $own[1] * $x - $other[0] - $other[1] * $x);
    }

    /**
     * @param  array<int, float>        $rows
     * @return array{float, float}|null where it is at the first column of the strip, and how much it falls
     */
    private static function line(array $rows): ?array
    {
        $fit = new LineFit();
        foreach ($rows as $x => $row) {
            $fit->add($x, $row);
        }

        return $fit->line();
    }

    /** @return int -1 where its middle is above its ends, 1 where it is below, 0 where it is not bent one way */
    public function bend(): int
    {
        $off = $this->off();
        $third = intdiv(count($off), 3);
        $middle = array_slice($off, $third, max(1, $third));
        $mean = array_sum($middle) / count($middle);
        $way = $mean <=> 0.0;
        $there = count(array_filter($off, static fn (float $rows): bool => $way * $rows > -1.0));

        return abs($mean) >= max(self::BENT, self::SHARE * $this->length()) && $there >= self::ONE_SIDE * count($off) ? $way : 0;
    }

    public function isStraight(): bool
    {
        return max(array_map(abs(...), $this->off())) <= self::STRAIGHT + self::BOWED * $this->length();
    }

    /** @return non-empty-list<float> how far below the straight line between its ends it lies, column by column */
    private function off(): array
    {
        $slope = ($this->rightRow() - $this->leftRow()) / max(1, $this->length());

        return array_map(fn (int $x, float $row): float => $row - $this->leftRow() - $slope * ($x - $this->left()), array_keys($this->rows), array_values($this->rows));
    }
}
