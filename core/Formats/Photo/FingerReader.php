<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Gives notes their finger numbers. */
final readonly class FingerReader
{
    private const LIKE = 0.27;

    private const DIGITS = [Shape::One, Shape::Two, Shape::Three, Shape::Four, Shape::Five];

    private const LEANING = 0.45;

    /** Columns from a note to its number, at most. */
    private const REACH = 14;

    /**
     * @param list<Blob> $blobs
     * @param int        $top    rows above are of the staff that stands there
     * @param int        $bottom likewise below
     */
    public function __construct(private array $blobs, private int $top, private int $bottom) {}

    /** @param list<Item> $items */
    public function give(array $items): void
    {
        foreach ($this->blobs as $blob) {
            if ($blob->height() < 10 || $blob->height() > 24 || $blob->width() < 4 || $blob->width() > 20 || $blob->y() < $this->top || $blob->y() > $this->bottom) {
                continue;
            }
            $this->tellThree($items, $blob);
            [$shape, $far] = Shapes::nearest($blob);
            $finger = $shape->finger();
            $item = $finger === null || $far > self::LIKE || $this->isOfWord($blob) ? null : self::at($items, $blob->x());
            if ($item !== null) {
                // From the number inwards: the outermost note first.
                $above = $blob->y() < ($item->heads[count($item->heads) - 1] ?? $item->heads[0])->y();
                foreach ($above ? array_reverse($item->heads) : $item->heads as $head) {
                    if ($head->finger === null) {
                        $head->finger = $finger;
                        break;
                    }
                }
            }
        }
    }

    /**
     * The number of a triplet leans, and stands in the middle of its notes.
     *
     * @param list<Item> $items
     */
    private function tellThree(array $items, Blob $blob): void
    {
        [$shape, $far] = Shapes::nearest($blob, self::DIGITS);
        $item = $shape === Shape::Three && $far < self::LEANING ? self::at($items, $blob->x()) : null;
        if ($item !== null) {
            $item->hasThree = true;
        }
    }

    /** @param list<Item> $items */
    private static function at(array $items, float $x): ?Item
    {
        $best = null;
        $nearest = (float) self::REACH;
        foreach ($items as $item) {
            $far = abs($item->x - $x);
            if (! $item->isRest() && $far < $nearest) {
                $nearest = $far;
                $best = $item;
            }
        }

        return $best;
    }

    /** A letter has others at its side. */
    private function isOfWord(Blob $blob): bool
    {
        foreach ($this->blobs as $other) {
            $apart = max($other->left - $blob->right, $blob->left - $other->right);
            $level = min($other->bottom, $blob->bottom) - max($other->top, $blob->top);
            if ($other !== $blob && $apart < 9 && $level >= 7 && $other->height() < 32 && $other->width() < 34 && $other->area > 20) {
                return true;
            }
        }

        return false;
    }
}
