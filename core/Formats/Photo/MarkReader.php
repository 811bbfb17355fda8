<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Mark;

/** Gives notes what is printed above or below them: the dot of staccato, an accent, a fermata, the stroke of tenuto. */
final readonly class MarkReader
{
    /** Columns from the middle of a note to the middle of its mark. */
    private const BESIDE = 6;

    /** Rows from the outermost head or the end of the stem. */
    private const NEAR = 9;

    private const FAR = 48;

    /** The least width of a dot: what is smaller is a speck. */
    private const DOT = 5;

    /** Columns of a stroke of tenuto, and rows. */
    private const STROKE = [13, 26];

    private const THICK = 6;

    /** Rows around a line of the staff. */
    private const LINED = 4;

    /**
     * @param list<Blob> $blobs
     * @param int        $top    rows above are of the staff that stands there
     * @param int        $bottom likewise below
     */
    public function __construct(private array $blobs, private int $top, private int $bottom) {}

    /** @param list<Item> $items */
    public function give(array $items): void
    {
        $taken = [];
        foreach ($this->blobs as $blob) {
            $dot = $this->dotIn($blob);
            if ($dot !== null) {
                $this->put($items, $blob, Mark::Fermata);
                $taken[] = $dot;
            } elseif (self::isAccent($blob)) {
                $this->put($items, $blob, Mark::Accent);
            } elseif ($this->isStroke($blob)) {
                $this->put($items, $blob, Mark::Tenuto);
            }
        }
        foreach ($this->blobs as $blob) {
            // Within the staff a dot stands between two lines; what is left of a bow where a line was taken out does not.
            if ($blob->isDot() && min($blob->width(), $blob->height()) >= self::DOT && ! in_array($blob, $taken, true) && ! Strip::isOnLine((int) round($blob->y()), self::LINED) && ! $this->isOfLetter($blob)) {
                $this->put($items, $blob, Mark::Staccato);
            }
        }
    }

    /** @param list<Item> $items */
    private function put(array $items, Blob $blob, Mark $mark): void
    {
        if ($blob->y() < $this->top || $blob->y() > $this->bottom) {
            return;
        }
        foreach ($items as $item) {
            if ($item->heads === []) {
                continue;
            }
            [$above, $below] = $item->rows();
            $apart = $blob->y() < $above ? $above - $blob->y() : $blob->y() - $below;
            $beside = min(abs($item->x - $blob->x()), abs(($item->stem->x ?? $item->x) - $blob->x()));
            if ($beside <= self::BESIDE && $apart >= self::NEAR && $apart <= self::FAR && ! in_array($mark, $item->marks, true)) {
                $item->marks[] = $mark;

                return;
            }
        }
    }

    /** The dot of a fermata: it stands in the middle of a bow that is open below or above. */
    private function dotIn(Blob $bow): ?Blob
    {
        if ($bow->width() < 22 || $bow->width() > 48 || $bow->height() < 9 || $bow->height() > 26 || $bow->area > 0.6 * $bow->width() * $bow->height()) {
            return null;
        }
        foreach ($this->blobs as $dot) {
            if ($dot !== $bow && $dot->isDot() && abs($dot->x() - $bow->x()) <= 4 && $dot->top >= $bow->top && $dot->bottom <= $bow->bottom + 2) {
                return $dot;
            }
        }

        return null;
    }

    /** Two strokes that meet at the right. */
    private static function isAccent(Blob $blob): bool
    {
        if ($blob->width() < 13 || $blob->width() > 30 || $blob->height() < 7 || $blob->height() > 18 || $blob->area > 0.62 * $blob->width() * $blob->height()) {
            return false;
        }
        $quarter = intdiv($blob->width(), 4);
        $left = $blob->within($blob->left, $blob->left + $quarter, $blob->top, $blob->bottom);
        $right = $blob->within($blob->right - $quarter, $blob->right, $blob->top, $blob->bottom);
        if ($left === null || $right === null) {
            return false;
        }
        $between = $blob->within($blob->left, $blob->left + $quarter, (int) $blob->y() - 1, (int) $blob->y() + 1);

        return $between === null && $left->height() >= 0.8 * $blob->height() && $right->height() <= 0.65 * $blob->height() && abs($right->y() - $blob->y()) <= 2;
    }

    /** As wide as a head, and as thick as a line; in line with none of the staff, nor where a ledger line would be. */
    private function isStroke(Blob $blob): bool
    {
        return $blob->width() >= self::STROKE[0] && $blob->width() <= self::STROKE[1] && $blob->height() <= self::THICK && $blob->area >= 0.7 * $blob->width() * $blob->height()
            && ! Strip::isOnLine((int) round($blob->y()), self::LINED) && array_filter($this->blobs, static fn (Blob $other): bool => $other !== $blob && $other->left < $blob->right + self::BESIDE && $other->right > $blob->left - self::BESIDE && abs($other->y() - $blob->y()) < self::NEAR) === [];
    }

    /** A letter stands right below its point, or beside it. */
    private function isOfLetter(Blob $dot): bool
    {
        foreach ($this->blobs as $other) {
            $aside = max($other->left - $dot->right, $dot->left - $other->right);
            $beneath = $other->top - $dot->bottom;
            if ($other !== $dot && $other->area > 20 && $other->height() <= 34 && $other->width() <= 34 && ! $other->isDot()
                && ($aside <= 2 && $beneath >= -2 && $beneath <= 9 || $aside < 9 && $beneath < -3 && $other->bottom > $dot->top + 3)) {
                return true;
            }
        }

        return false;
    }
}
