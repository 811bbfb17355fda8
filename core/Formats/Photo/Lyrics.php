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

    /**
     * Words far below a staff are on the strip of the one that stands there.
     *
     * @param Staff|null $next   the staff below
     * @param int        $bottom the row where it begins
     */
    public static function give(Staff $staff, ?Staff $next, int $bottom, WordReader $words): void
    {
        $read = self::read($staff, Strip::BOTTOM + self::BELOW, min($bottom, Strip::HEIGHT - self::END), $words);
        if ($read === [] && $next !== null) {
            foreach (self::read($next, self::END, Strip::TOP - self::BELOW, $words) as ['text' => $text, 'x' => $x]) {
                $read[] = ['text' => $text, 'x' => (float) $staff->strip->columnAt($next->strip->pageX[(int) $x] ?? 0.0)];
            }
        }
        $before = null;
        foreach ($read as ['text' => $text, 'x' => $x]) {
            $before = self::put($staff->items, $text, $x, $before);
        }
    }

    /** @return list<array{text: string, x: float}> */
    private static function read(Staff $staff, int $from, int $to, WordReader $words): array
    {
        // What says how loud it is stands among them.
        $isLoud = static fn (Blob $blob): bool => array_filter($staff->loud, static fn (Blob $ink): bool => $blob->left < $ink->right && $blob->right > $ink->left && $blob->top < $ink->bottom && $blob->bottom > $ink->top) !== [];
        $blobs = array_values(array_filter($staff->blobs, static fn (Blob $blob): bool => ! $isLoud($blob)));

        return WordBand::read($blobs, $from, $to, $staff->strip->width(), $words);
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
        $at = Item::nearest($items, $x, self::REACH);
        $best = $at === null ? null : $items[$at];
        if ($best === null || $best->lyric !== '' || preg_match('/\p{L}/u', $syllable) !== 1) {
            return $before;
        }
        $best->lyric = $syllable.(str_ends_with($printed, '-') ? '-' : '');

        return $best;
    }
}
