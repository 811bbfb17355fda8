<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Finds the title of a piece: the tallest words above its first line. */
final class Titles
{
    private const LONGEST = 80;

    /** Pixels of letters that a title has at least. */
    private const TALLEST = 9;

    /** Spaces of the staff that stay free of words: fingers and signs stand there. */
    private const FREE = 2;

    /**
     * @param float $above the row of the page below which the words stand
     */
    public static function of(Picture $picture, System $system, float $above, WordReader $words): string
    {
        $strip = $system->staves[0]->strip;
        $column = intdiv($strip->width(), 2);
        $to = (int) $strip->pageY($column, Strip::TOP - self::FREE * Strip::SPACE);
        $from = max(0, (int) $above, $to - 24 * Strip::SPACE);
        if ($to - $from < 2 * Strip::SPACE) {
            return '';
        }
        [$title, $tallest] = ['', self::TALLEST - 1];
        foreach ($words->lines(GreyPicture::jpeg($picture->columns, $from, $to)) as ['words' => $line, 'height' => $height]) {
            $text = trim((string) preg_replace('/^[^\p{L}\p{N}]+|[^\p{L}\p{N}!?.)]+$/u', '', implode(' ', array_column($line, 'text'))));
            if ($height > $tallest && self::isWords($text)) {
                [$title, $tallest] = [$text, $height];
            }
        }

        return mb_substr($title, 0, self::LONGEST);
    }

    /** What is mostly strokes is a sign that was taken for letters. */
    private static function isWords(string $text): bool
    {
        $letters = preg_match_all('/[\p{L}\p{N}]/u', $text);

        return $letters >= 2 && preg_match('/\p{L}{2}/u', $text) === 1 && $letters >= 0.7 * mb_strlen(str_replace(' ', '', $text));
    }
}
