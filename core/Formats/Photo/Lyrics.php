<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Gives the notes of an upper staff the syllables that are printed below it. */
final class Lyrics
{
    /** Rows below the staff, and from the end of a strip, in which no words begin. */
    private const BELOW = 6;

    private const END = 12;

    /** Columns from the middle of a syllable to its note. */
    private const REACH = 40;

    /** @param int $bottom rows below are of the staff that stands there */
    public static function give(Staff $staff, int $bottom, WordReader $words): void
    {
        $before = null;
        foreach (WordBand::read($staff->strip, $staff->blobs, Strip::BOTTOM + self::BELOW, min($bottom, Strip::HEIGHT - self::END), $staff->strip->width(), $words) as ['text' => $text, 'x' => $x]) {
            $before = self::put($staff->items, $text, $x, $before);
        }
    }

    /**
     * @param  list<Item> $items
     * @param  Item|null  $before whose syllable was the last one
     * @return Item|null  whose is the last one now
     */
    private static function put(array $items, string $text, float $x, ?Item $before): ?Item
    {
        $printed = trim((string) preg_replace('/[^\p{L}\'’,.!?-]+/u', '', $text));
        $syllable = trim($printed, '-');
        // A hyphen that stands alone says that the word goes on.
        if ($syllable === '' && $printed !== '' && $before !== null) {
            $before->lyric = rtrim($before->lyric, '-').'-';
        }
        $best = null;
        $nearest = (float) self::REACH;
        foreach ($items as $item) {
            if ($item->heads !== [] && abs($item->x - $x) < $nearest) {
                [$best, $nearest] = [$item, abs($item->x - $x)];
            }
        }
        if ($best === null || $best->lyric !== '' || preg_match('/\p{L}/u', $syllable) !== 1) {
            return $before;
        }
        $best->lyric = $syllable.(str_ends_with($printed, '-') ? '-' : '');

        return $best;
    }
}
