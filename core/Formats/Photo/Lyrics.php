<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Gives the notes of an upper staff the syllables that are printed below it. */
final class Lyrics
{
    /** Rows below the staff in which words begin, and rows of a line of words. */
    private const BELOW = 6;

    private const ABOVE_BASE = 30;

    private const UNDER_BASE = 12;

    /** Rows by which letters of one line end apart, and how many letters make words. */
    private const LEVEL = 3;

    private const LETTERS = 5;

    /** How much larger than in the strip they are read. */
    private const SCALE = 3;

    /** Columns from the middle of a syllable to its note. */
    private const REACH = 40;

    /**
     * @param list<Item> $items of the staff
     * @param int        $bottom rows below are of the staff that stands there
     */
    public static function give(Staff $staff, array $items, int $bottom, WordReader $words): void
    {
        $base = self::base($staff, $bottom);
        if ($base === null) {
            return;
        }
        $columns = array_map(static fn (string $column): string => strtr($column, ["\0" => "\xFF", "\1" => "\0"]), $staff->strip->columns);
        $picture = GreyPicture::of($columns, $base - self::ABOVE_BASE, $base + self::UNDER_BASE);
        $larger = imagescale($picture, self::SCALE * imagesx($picture), self::SCALE * imagesy($picture), IMG_BICUBIC);
        foreach ($larger === false ? [] : $words->lines(GreyPicture::written($larger)) as ['words' => $line]) {
            foreach ($line as ['text' => $text, 'x' => $x]) {
                self::put($items, $text, $x / self::SCALE);
            }
        }
    }

    /** @return int|null the row that most letters stand on; null where there are too few of them */
    private static function base(Staff $staff, int $bottom): ?int
    {
        $ends = [];
        foreach ($staff->blobs as $blob) {
            if ($blob->top > Strip::BOTTOM + self::BELOW && $blob->bottom < min($bottom, Strip::HEIGHT - self::UNDER_BASE) && $blob->height() >= 8 && $blob->height() <= 30 && $blob->width() >= 3 && $blob->width() <= 40) {
                $ends[] = $blob->bottom;
            }
        }
        [$base, $most] = [null, self::LETTERS - 1];
        foreach (array_unique($ends) as $row) {
            $count = count(array_filter($ends, static fn (int $end): bool => abs($end - $row) <= self::LEVEL));
            [$base, $most] = $count > $most ? [$row, $count] : [$base, $most];
        }

        return $base;
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
