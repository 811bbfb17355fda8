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
     * @param list<Item> $items of the staff
     * @param int        $bottom rows below are of the staff that stands there
     */
    public static function give(Staff $staff, array $items, int $bottom, WordReader $words): void
    {
        foreach (WordBand::read($staff->strip, $staff->blobs, Strip::BOTTOM + self::BELOW, min($bottom, Strip::HEIGHT - self::END), $staff->strip->width(), $words) as ['text' => $text, 'x' => $x]) {
            self::put($items, $text, $x);
        }
    }

    /** @param list<Item> $items */
    private static function put(array $items, string $text, float $x): void
    {
        $syllable = trim((string) preg_replace('/[^\p{L}\'’,.!?-]+/u', '', $text), ' -');
        $best = null;
        $nearest = (float) self::REACH;
        foreach ($items as $item) {
            if ($item->heads !== [] && abs($item->x - $x) < $nearest) {
                [$best, $nearest] = [$item, abs($item->x - $x)];
            }
        }
        if ($best !== null && preg_match('/\p{L}/u', $syllable) === 1) {
            $best->lyric = $best->lyric === '' ? $syllable.(str_ends_with(trim($text), '-') ? '-' : '') : $best->lyric;
        }
    }
}
