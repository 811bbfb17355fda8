<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/** Finds the small clefs within a line: from there on the staff has another one. */
final class ClefReader
{
    private const TABLE = 'clefs.txt';

    /** How far a treble and a bass clef may be from their prints: the dots beside the one say as much. */
    private const LIKE = [0.32, 0.4];

    /** Columns and rows that each has, at least and at most. */
    private const SIZES = [['treble', 24, 40, 62, 108], ['bass', 20, 36, 29, 56]];

    /** Rows from the top line to the top of each, at least and at most. */
    private const TOPS = ['treble' => [-24, 10], 'bass' => [-8, 14]];

    /** Columns after a bass clef in which its dots stand. */
    private const BESIDE = 16;

    /** Columns of one with its dots, at least. */
    private const WITH_DOTS = 28;

    /** Columns at most, rows at least and at most of the two where they run together. */
    private const DOTS = [9, 12, 23];

    /**
     * @param  list<Blob>              $blobs
     * @return list<array{Blob, Clef}> from left to right; the dots of a bass clef are of it
     */
    public static function among(array $blobs, int $from): array
    {
        $found = [];
        foreach ($blobs as $blob) {
            $clef = $blob->left >= $from ? self::bySize($blob) : null;
            $dots = $clef?->isLow() === true ? self::dots($blob, $blobs) : [];
            if ($clef !== null && self::isLike($blob, $clef, $dots !== [])) {
                $found[] = [array_reduce($dots, static fn (Blob $all, Blob $dot): Blob => $all->with($dot), $blob), $clef];
            }
        }
        usort($found, static fn (array $a, array $b): int => $a[0]->left <=> $b[0]->left);

        return $found;
    }

    /** What a blob may be by its size and where it stands. */
    public static function bySize(Blob $blob): ?Clef
    {
        foreach (self::SIZES as [$name, $narrow, $wide, $low, $high]) {
            $top = $blob->top - Strip::TOP;
            if ($blob->width() >= $narrow && $blob->width() <= $wide && $blob->height() >= $low && $blob->height() <= $high && $top >= self::TOPS[$name][0] && $top <= self::TOPS[$name][1]) {
                return Clef::from($name);
            }
        }

        return null;
    }

    private static function isLike(Blob $blob, Clef $clef, bool $isDotted): bool
    {
        $far = static fn (?Blob $body): float => $body === null ? 1.0 : Prints::nearest(self::TABLE, $body, [$clef->value])[1];
        if (! $clef->isLow()) {
            return $far($blob) <= self::LIKE[0];
        }

        // Where the print is soft the dots run into it.
        return $isDotted ? $far($blob) <= self::LIKE[1] : $blob->width() >= self::WITH_DOTS && $far($blob->within($blob->left, $blob->right - self::DOTS[0], $blob->top, $blob->bottom)) <= self::LIKE[0]
            && $blob->within($blob->right - 4, $blob->right, intdiv($blob->top + 2 * $blob->bottom, 3), $blob->bottom) === null;
    }

    /**
     * @param  list<Blob> $blobs
     * @return list<Blob>
     */
    private static function dots(Blob $clef, array $blobs): array
    {
        return array_values(array_filter($blobs, static fn (Blob $blob): bool => ($blob->isDot() || $blob->width() <= self::DOTS[0] && $blob->height() >= self::DOTS[1] && $blob->height() <= self::DOTS[2])
            && $blob->left >= $clef->right - 6 && $blob->left <= $clef->right + self::BESIDE && $blob->y() > $clef->top && $blob->y() < $clef->bottom));
    }
}
