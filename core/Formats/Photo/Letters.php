<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** The letters of words above a staff and below it, which are no notes: three or more that stand side by side. */
final class Letters
{
    /** Rows and columns of a letter, at least and at most. */
    private const HIGH = [6, 34];

    private const WIDE = [3, 40];

    /** Letters of a word that is known by it. */
    private const FEWEST = 3;

    /** Columns from one to the next at most. */
    private const NEXT = 9;

    /**
     * @param  list<Blob> $blobs
     * @return list<Blob> those that are letters
     */
    public static function among(array $blobs): array
    {
        $may = array_values(array_filter($blobs, static fn (Blob $blob): bool => ($blob->bottom < Strip::TOP - 1 || $blob->top > Strip::BOTTOM + 1)
            && $blob->height() >= self::HIGH[0] && $blob->height() <= self::HIGH[1] && $blob->width() >= self::WIDE[0] && $blob->width() <= self::WIDE[1] && ! $blob->isDot()));
        usort($may, static fn (Blob $a, Blob $b): int => $a->left <=> $b->left);
        $letters = [];
        /** @var list<non-empty-list<Blob>> $words */
        $words = [];
        foreach ($may as $blob) {
            foreach ($words as $w => $word) {
                if (self::follows($blob, $word[count($word) - 1])) {
                    $words[$w][] = $blob;

                    continue 2;
                }
            }
            $words[] = [$blob];
        }
        foreach ($words as $word) {
            if (count($word) >= self::FEWEST) {
                array_push($letters, ...$word);
            }
        }

        return $letters;
    }

    private static function follows(Blob $blob, Blob $before): bool
    {
        $gap = $blob->left - $before->right;
        $shared = min($blob->bottom, $before->bottom) - max($blob->top, $before->top);

        return $gap >= -2 && $gap <= self::NEXT && 2 * $shared >= min($blob->height(), $before->height());
    }
}
