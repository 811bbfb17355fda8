<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** The note of a metronome mark stands above the staff before two short lines, and is played by nobody. */
final class MetronomeNote
{
    /** Columns and rows of one of the two lines, and rows between them. */
    private const WIDE = [8, 28];

    private const THICK = 7;

    private const APART = 8;

    /** Columns between the note and the lines. */
    private const BEFORE = 26;

    /**
     * @param  list<Blob> $blobs
     * @return list<Blob> the notes
     */
    public static function among(array $blobs): array
    {
        $notes = [];
        $lines = array_values(array_filter($blobs, static fn (Blob $blob): bool => $blob->bottom < Strip::TOP && $blob->height() <= self::THICK && $blob->width() >= 2 * $blob->height() && $blob->width() >= self::WIDE[0] && $blob->width() <= self::WIDE[1]));
        foreach ($lines as $upper) {
            foreach ($lines as $lower) {
                if ($lower->top > $upper->bottom && $lower->top - $upper->bottom <= self::APART && abs($lower->left - $upper->left) <= 3 && abs($lower->right - $upper->right) <= 3) {
                    array_push($notes, ...self::before($blobs, $upper->with($lower)));
                }
            }
        }

        return $notes;
    }

    /**
     * @param  list<Blob> $blobs
     * @return list<Blob> what has a stem, right before the two lines
     */
    private static function before(array $blobs, Blob $equals): array
    {
        return array_values(array_filter($blobs, static fn (Blob $blob): bool => $blob->right <= $equals->left && $equals->left - $blob->right <= self::BEFORE
            && $blob->height() >= 1.5 * Strip::SPACE && $blob->top < $equals->top && $blob->bottom > $equals->bottom));
    }
}
