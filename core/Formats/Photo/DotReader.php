<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Gives notes and rests the dots that make them longer. */
final readonly class DotReader
{
    /** Columns from a head to its dot, at most. */
    private const REACH = 26;

    /**
     * @param list<Blob>    $blobs
     * @param list<BarLine> $bars
     */
    public function __construct(private array $blobs, private array $bars) {}

    /** @param list<Item> $items */
    public function give(array $items): void
    {
        $weak = [];
        foreach ($this->blobs as $blob) {
            if (! $blob->isDot() || $this->isOfRepeat($blob)) {
                continue;
            }
            $best = null;
            $nearest = (float) self::REACH;
            foreach ($items as $item) {
                $far = $blob->left - self::end($item);
                if ($far >= 0 && $far < $nearest && self::isBeside($item, $blob->y(), count($item->heads) > 1 || self::isLower($item, $items))) {
                    $nearest = $far;
                    $best = $item;
                }
            }
            // Below the line of its head a dot of a chord is not alone: the point over an i is.
            if ($best !== null && (self::isBeside($best, $blob->y(), false) || self::isLower($best, $items))) {
                $best->dots = 1;
            } elseif ($best !== null) {
                $best->dots = in_array($best, $weak, true) ? 1 : $best->dots;
                $weak[] = $best;
            }
        }
    }

    /**
     * The dots of a lower voice stand below the line.
     *
     * @param list<Item> $items
     */
    private static function isLower(Item $item, array $items): bool
    {
        foreach ($item->stem?->up === false ? $items : [] as $other) {
            if ($other !== $item && ! $other->isRest() && $other->stem?->up !== false && abs($other->x - $item->x) < self::REACH && $other->heads[0]->place > $item->heads[0]->place) {
                return true;
            }
        }

        return false;
    }

    private static function end(Item $item): float
    {
        $end = $item->isRest() ? $item->x + 6 : 0.0;
        foreach ($item->heads as $head) {
            $end = max($end, $head->x + $head->width / 2 - 2);
        }

        return $end;
    }

    private static function isBeside(Item $item, float $y, bool $below): bool
    {
        if ($item->isRest()) {
            return abs($y - Strip::row(5)) <= 5;
        }
        foreach ($item->heads as $head) {
            // On a line it stands in the space above, in a chord perhaps below.
            foreach ($head->place % 2 === 0 ? [8, -8] : [0] as $up) {
                if (abs($y - ($head->y() - $up)) <= 4.5 && ($up >= 0 || $below)) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isOfRepeat(Blob $blob): bool
    {
        if (abs($blob->y() - Strip::row(3)) > 4 && abs($blob->y() - Strip::row(5)) > 4) {
            return false;
        }
        foreach ($this->bars as $bar) {
            if ($bar->dotsBefore && $blob->x() > $bar->left - 28 && $blob->x() < $bar->left + 6 || $bar->dotsAfter && $blob->x() < $bar->right + 28 && $blob->x() > $bar->right - 6) {
                return true;
            }
        }

        return false;
    }
}
