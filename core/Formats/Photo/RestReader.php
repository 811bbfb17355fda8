<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds the rests of a staff. */
final readonly class RestReader
{
    /** How like a rest a blob is that is nothing else: a head that is seen in it is none. */
    private const SURE = 0.25;

    private const LIKE = 0.3;

    /** And outside the staff, where numbers stand. */
    private const CERTAIN = 0.2;

    /** Rows from the staff to the middle of a rest of two voices, at most. */
    private const ASIDE = 40;

    /** Columns and rows between the parts of one that is torn, at most. */
    private const TORN = 2;

    /** Rows from a line to the middle of the block that hangs from it. */
    private const HANGS = 5.5;

    /** The share of its columns that a row of a block has, and of its rows that have them. */
    private const WIDE = 0.7;

    private const MOST = 0.7;

    /** @param list<Blob> $blobs */
    public function __construct(private Strip $strip, private array $blobs, private int $from) {}

    /**
     * The ball of an eighth rest that is torn from its stroke is one with it.
     *
     * @param  list<Blob> $blobs from left to right
     * @return list<Blob>
     */
    public static function whole(array $blobs): array
    {
        for ($i = 0; isset($blobs[$i]); $i++) {
            $ball = $blobs[$i];
            if ($ball->y() < Strip::TOP || $ball->y() > Strip::BOTTOM || ! $ball->isDot()) {
                continue;
            }
            for ($k = $i + 1; isset($blobs[$k]) && $blobs[$k]->left <= $ball->right + self::TORN; $k++) {
                $both = $ball->with($blobs[$k]);
                if ($blobs[$k]->right > $ball->right && $blobs[$k]->top <= $ball->bottom + self::TORN && self::isTall($both) && Shapes::like($both, self::CERTAIN)?->isRest() === true) {
                    $blobs[$i] = $both;
                    array_splice($blobs, $k, 1);
                    break;
                }
            }
        }

        return $blobs;
    }

    /** @return list<Blob> what looks like a rest and nothing else */
    public function sure(): array
    {
        return array_values(array_filter($this->blobs, fn (Blob $blob): bool => $this->mayBe($blob) && Shapes::like($blob, self::SURE)?->isRest() === true));
    }

    /**
     * @param  callable(Blob): bool $isOfOther part of a note or of a bar line
     * @return list<Item>
     */
    public function items(callable $isOfOther): array
    {
        $items = [];
        foreach ($this->blobs as $blob) {
            if ($blob->left >= $this->from && $blob->y() > Strip::TOP - 4 && $blob->y() < Strip::BOTTOM + 4 && ! $isOfOther($blob)) {
                $item = $this->block($blob) ?? ($this->mayBe($blob) ? $this->sign($blob) : null);
                if ($item !== null) {
                    $items[] = $item;
                }
            }
        }

        // At the edge of the staff one is either, and is told once.
        $places = array_map(static fn (Item $item): float => $item->x, $items);

        return [...$items, ...array_filter($this->aside($isOfOther), static fn (Item $item): bool => ! in_array($item->x, $places, true))];
    }

    /**
     * What looks like a rest above or below the staff, as the rests of two voices stand.
     *
     * @param  callable(Blob): bool $isOfOther
     * @return list<Item>
     */
    private function aside(callable $isOfOther): array
    {
        $items = [];
        foreach ($this->blobs as $blob) {
            $block = $blob->left >= $this->from && ! $isOfOther($blob) ? $this->hanging($blob) : null;
            if ($block !== null) {
                $items[] = $block;
            }
            $far = max(Strip::TOP - $blob->y(), $blob->y() - Strip::BOTTOM);
            if ($blob->left >= $this->from && $far > -4 && $far < self::ASIDE && self::isTall($blob) && Shapes::nearest($blob)[1] < self::CERTAIN && ! $isOfOther($blob)) {
                $item = $this->sign($blob);
                if ($item !== null) {
                    $item->aside = $blob->y() < Strip::TOP + 2 * Strip::SPACE ? 0 : 1;
                    $items[] = $item;
                }
            }
        }

        return $items;
    }

    /** A whole rest hangs from the fourth line, a half rest lies on the third. */
    private function block(Blob $blob): ?Item
    {
        $blob = self::trimmed($blob);
        $y = $blob->y();
        if (! self::isBlock($blob) || $y <= Strip::TOP + 12 || $y >= Strip::TOP + 34) {
            return null;
        }
        $whole = $y < Strip::TOP + 24.8;

        return $this->item($blob, ($whole ? 4 : 2) * Item::QUARTER, 0, $whole, 1.0);
    }

    private static function isBlock(Blob $blob): bool
    {
        return $blob->width() >= 14 && $blob->width() <= 38 && $blob->height() >= 5 && $blob->height() <= 13 && $blob->area >= 0.72 * $blob->width() * $blob->height() && self::hasCorners($blob);
    }

    /** A whole rest of one of two voices hangs from the top line, or from one below the middle. */
    private function hanging(Blob $blob): ?Item
    {
        $blob = self::trimmed($blob);
        foreach ([0, 3, 4] as $line) {
            if (abs($blob->y() - Strip::TOP - $line * Strip::SPACE - self::HANGS) <= 2.5 && self::isBlock($blob)) {
                $item = $this->item($blob, 4 * Item::QUARTER, 0, true, 1.0);
                $item->aside = $line === 0 ? 0 : 1;

                return $item;
            }
        }

        return null;
    }

    /** Without what is left of a line along one of its sides. */
    private static function trimmed(Blob $blob): Blob
    {
        $wide = array_values(array_filter($blob->runs, static fn (array $run): bool => $run[2] - $run[1] >= self::WIDE * $blob->width()));
        $core = $wide === [] ? $blob : Blobs::made($wide);

        return $core->height() >= self::MOST * $blob->height() ? $core : $blob;
    }

    /** The bow of a tie narrows upwards or downwards. */
    private static function hasCorners(Blob $blob): bool
    {
        foreach ([[$blob->top, $blob->top + 2], [$blob->bottom - 2, $blob->bottom]] as [$from, $to]) {
            $edge = $blob->within($blob->left, $blob->right, $from, $to);
            if ($edge === null || $edge->width() < 0.7 * $blob->width()) {
                return false;
            }
        }

        return true;
    }

    private function sign(Blob $blob): ?Item
    {
        [$shape, $far] = Shapes::nearest($blob);
        if ($far >= self::LIKE || ! $shape->isRest()) {
            return null;
        }
        $flags = match ($shape) {
            Shape::EighthRest => 1,
            Shape::SixteenthRest => 2,
            default => 0,
        };

        return $this->item($blob, Item::QUARTER >> $flags, $flags, false, 1 - $far);
    }

    private function item(Blob $blob, int $base, int $flags, bool $fills, float $sure): Item
    {
        return new Item($blob->x(), $this->strip->pageX[(int) $blob->x()] ?? 0.0, [], $base, 0, $flags, $fills, $sure);
    }

    private function mayBe(Blob $blob): bool
    {
        return $blob->left >= $this->from && $blob->y() > Strip::TOP - 4 && $blob->y() < Strip::BOTTOM + 4 && self::isTall($blob);
    }

    private static function isTall(Blob $blob): bool
    {
        return $blob->height() >= 20 && $blob->height() <= 56 && $blob->width() >= 8 && $blob->width() <= 30;
    }
}
