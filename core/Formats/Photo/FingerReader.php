<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Gives notes their finger numbers. */
final readonly class FingerReader
{
    private const LIKE = 0.27;

    /** How like another sign it is that is no number, and how like a digit of a printing font one is. */
    private const ALIKE = 0.08;

    private const PRINTED = 0.25;

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
        $numbers = [];
        foreach ($this->blobs as $blob) {
            if ($blob->height() < 10 || $blob->height() > 24 || $blob->width() < 4 || $blob->width() > 20 || $blob->y() < $this->top || $blob->y() > $this->bottom) {
                continue;
            }
            $this->tellThree($items, $blob);
            $finger = self::finger($blob);
            $at = $finger === null || $this->isOfWord($blob) ? null : Item::nearest($items, $blob->x(), self::REACH);
            if ($at !== null) {
                $numbers[$at][] = [$blob->y(), $finger];
            }
        }
        foreach ($numbers as $at => $given) {
            self::share($items[$at]->heads, $given);
        }
    }

    /** Which number it is, in the letters of an engraver or of a common printing font; null where it is none. */
    private static function finger(Blob $blob): ?int
    {
        [$shape, $far] = Shapes::nearest($blob);
        if ($far <= self::LIKE && ($shape->finger() !== null || $far <= self::ALIKE)) {
            return $shape->finger();
        }
        [$digit, $apart] = Digits::nearest($blob);
        $isDigit = $apart <= self::PRINTED && ($shape === Shape::Text || $apart < $far);

        return $isDigit && $digit >= 1 && $digit <= 5 ? $digit : null;
    }

    /**
     * From the outermost note inwards: the topmost number above a chord is of its top note, the lowest below of its lowest.
     *
     * @param list<Head>                     $heads from the lowest
     * @param list<array{float, int|null}> $numbers their rows, and which they are
     */
    private static function share(array $heads, array $numbers): void
    {
        usort($numbers, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $top = $heads === [] ? 0 : $heads[count($heads) - 1]->y();
        foreach ([[array_reverse($heads), array_filter($numbers, static fn (array $one): bool => $one[0] < $top)], [$heads, array_reverse(array_filter($numbers, static fn (array $one): bool => $one[0] >= $top))]] as [$order, $given]) {
            foreach (array_values($given) as $i => [, $finger]) {
                if (isset($order[$i])) {
                    $order[$i]->finger ??= $finger;
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
        $at = $shape === Shape::Three && $far < self::LEANING ? Item::nearest($items, $blob->x(), self::REACH) : null;
        if ($at !== null) {
            $items[$at]->hasThree = true;
        }
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
