<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Ink that hangs together, in pixels of a strip. */
final readonly class Blob
{
    /** The sides of the picture that blobs are compared by. */
    public const SIDE = 16;

    /** Columns and rows of a dot at least, and with what hangs at it at most. */
    private const ROUND = 3;

    private const TAILED = 16;

    /** @param list<array{int, int, int}> $runs row, first column, one after the last */
    public function __construct(public int $left, public int $top, public int $right, public int $bottom, public int $area, public array $runs) {}

    public function width(): int
    {
        return $this->right - $this->left;
    }

    public function height(): int
    {
        return $this->bottom - $this->top;
    }

    public function x(): float
    {
        return ($this->left + $this->right) / 2;
    }

    public function y(): float
    {
        return ($this->top + $this->bottom) / 2;
    }

    /** As round as the dot of a note or of a repeat; what is thin about it is of a line or of a tie beside it. */
    public function isDot(): bool
    {
        if (self::isRound($this)) {
            return true;
        }
        if (max($this->width(), $this->height()) > self::TAILED) {
            return false;
        }
        $core = array_values(array_filter($this->runs, static fn (array $run): bool => $run[2] - $run[1] >= self::ROUND));

        return $core !== [] && self::isRound(Blobs::made($core));
    }

    private static function isRound(self $blob): bool
    {
        return min($blob->width(), $blob->height()) >= self::ROUND && max($blob->width(), $blob->height()) <= 11 && $blob->area >= 0.55 * $blob->width() * $blob->height();
    }

    public function with(self $other): self
    {
        return new self(
            min($this->left, $other->left),
            min($this->top, $other->top),
            max($this->right, $other->right),
            max($this->bottom, $other->bottom),
            $this->area + $other->area,
            [...$this->runs, ...$other->runs],
        );
    }

    /** The ink of it in so many columns and rows; null where there is none. */
    public function within(int $from, int $to, int $top, int $bottom): ?self
    {
        $runs = [];
        foreach ($this->runs as [$row, $first, $last]) {
            if ($last > $from && $first < $to && $row >= $top && $row < $bottom) {
                $runs[] = [$row, max($from, $first), min($to, $last)];
            }
        }

        return $runs === [] ? null : Blobs::made($runs);
    }

    /** @return string SIDE rows of SIDE, "\1" where it is ink, stretched to its own height and width */
    public function picture(): string
    {
        $sums = array_fill(0, self::SIDE * self::SIDE, 0.0);
        [$across, $down] = [self::SIDE / max(1, $this->width()), self::SIDE / max(1, $this->height())];
        foreach ($this->runs as [$row, $from, $to]) {
            [$y0, $y1] = [($row - $this->top) * $down, ($row + 1 - $this->top) * $down];
            [$x0, $x1] = [($from - $this->left) * $across, ($to - $this->left) * $across];
            for ($y = (int) $y0; $y < $y1 && $y < self::SIDE; $y++) {
                $high = min($y1, $y + 1) - max($y0, $y);
                for ($x = (int) $x0; $x < $x1 && $x < self::SIDE; $x++) {
                    $sums[$y * self::SIDE + $x] += $high * (min($x1, $x + 1) - max($x0, $x));
                }
            }
        }
        $picture = '';
        foreach ($sums as $sum) {
            $picture .= $sum >= 0.5 ? "\1" : "\0";
        }

        return $picture;
    }

    /** @return string the picture that four pixels a digit stand for */
    public static function unpacked(string $hex): string
    {
        $picture = '';
        foreach (str_split($hex) as $four) {
            $picture .= strtr(sprintf('%04b', hexdec($four)), '01', "\0\1");
        }

        return $picture;
    }
}
