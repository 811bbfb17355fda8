<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Gives notes how loud they are, as it is printed below a staff: from pp to ff. */
final class DynamicReader
{
    /** Rows below the staff where their middle is at least, and that an f rises above its last line at most. */
    private const BELOW = 10;

    private const RISES = 8;

    /** How far their print may be from the table's. */
    private const LIKE = 0.2;

    /** Columns between two letters of one, and beside it where other letters would be of a word. */
    private const BESIDE = 12;

    /** Columns from the middle of one to its note. */
    private const REACH = 3 * Strip::SPACE;

    public const WRITTEN = ['pp', 'p', 'mp', 'mf', 'f', 'ff'];

    private const TABLE = 'dynamics.txt';

    /** @var list<array{string, Blob}> what is written, and its ink */
    private array $words = [];

    /** @var list<Blob> the ink of those above the staff, which are of the staff that stands there */
    private array $above = [];

    /**
     * @param list<Blob> $blobs  from left to right
     * @param int        $from   the column from which notes stand
     * @param int        $bottom rows below are of the staff that stands there
     */
    public function __construct(array $blobs, int $from, int $bottom)
    {
        $notes = array_values(array_filter($blobs, static fn (Blob $blob): bool => $blob->left > $from));
        $this->words = self::among(array_values(array_filter($notes, static fn (Blob $blob): bool => self::isBelow($blob, $bottom))));
        $this->above = array_column(self::among(array_values(array_filter($notes, self::isAbove(...)))), 1);
    }

    /**
     * @param  list<Blob>                $blobs
     * @return list<array{string, Blob}>
     */
    private static function among(array $blobs): array
    {
        $letters = $others = $words = [];
        foreach ($blobs as $blob) {
            [$name, $far] = Prints::nearest(self::TABLE, $blob);
            if ($far <= self::LIKE) {
                $letters[] = [$name, $blob];
            } elseif ($blob->height() >= Strip::SPACE / 2 && $blob->height() < 3 * Strip::SPACE) {
                $others[] = $blob;
            }
        }
        while ($letters !== []) {
            [$word, $of] = array_shift($letters);
            while ($letters !== [] && self::areBeside($of, $letters[0][1])) {
                [$name, $blob] = array_shift($letters);
                $word .= $name;
                $of = $of->with($blob);
            }
            if (in_array($word, self::WRITTEN, true) && array_filter($others, static fn (Blob $other): bool => self::areBeside($of, $other)) === []) {
                $words[] = [$word, $of];
            }
        }

        return $words;
    }

    private static function isAbove(Blob $blob): bool
    {
        return $blob->y() < Strip::TOP - self::BELOW && $blob->bottom < Strip::TOP + self::RISES;
    }

    /** Where one may stand. */
    public static function isBelow(Blob $blob, int $bottom): bool
    {
        return $blob->y() > Strip::BOTTOM + self::BELOW && $blob->top > Strip::BOTTOM - self::RISES && $blob->bottom < $bottom;
    }

    /** @return list<Blob> the ink of them, which is no note's */
    public function ink(): array
    {
        return [...array_column($this->words, 1), ...$this->above];
    }

    /** @param list<Item> $items */
    public function give(array $items): void
    {
        foreach ($this->words as [$word, $blob]) {
            $at = Item::nearest($items, $blob->x(), self::REACH);
            if ($at !== null) {
                $items[$at]->dynamic = $word;
            }
        }
    }

    private static function areBeside(Blob $one, Blob $other): bool
    {
        return max($other->left - $one->right, $one->left - $other->right) < self::BESIDE && min($one->bottom, $other->bottom) - max($one->top, $other->top) > Strip::SPACE / 3;
    }
}
