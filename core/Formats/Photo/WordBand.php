<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** A line of words along a staff, cut out of its straight strip and read. */
final class WordBand
{
    /** Rows above and below the row that letters stand on. */
    private const ABOVE_BASE = 30;

    private const UNDER_BASE = 12;

    /** Rows by which letters of one line end apart, and how many letters make words. */
    private const LEVEL = 3;

    private const LETTERS = 5;

    /** How much larger than in the strip they are read. */
    private const SCALE = 3;

    /**
     * @param list<Blob> $blobs
     * @param int        $from  the first row in which letters are looked for
     * @param int        $to    the row after the last
     * @param int        $width columns that are looked at, from the left
     * @param bool       $alone what reaches out of the line is none of it: in words below notes, not in a metronome mark
     *
     * @return list<array{text: string, x: float}> words, and the columns of their middles
     */
    public static function read(array $blobs, int $from, int $to, int $width, WordReader $words, bool $alone = true): array
    {
        $base = self::base($blobs, $from, $to, $width);
        if ($base === null) {
            return [];
        }
        $picture = GreyPicture::of(self::letters($blobs, $base, $width, $alone), max(0, $base - self::ABOVE_BASE), min(Strip::HEIGHT, $base + self::UNDER_BASE));
        $larger = imagescale($picture, self::SCALE * imagesx($picture), self::SCALE * imagesy($picture), IMG_BICUBIC);
        $read = [];
        foreach ($larger === false ? [] : $words->lines(GreyPicture::written($larger)) as ['words' => $line]) {
            foreach ($line as ['text' => $text, 'x' => $x]) {
                $read[] = ['text' => $text, 'x' => (float) $x / self::SCALE];
            }
        }

        return $read;
    }

    /**
     * The line drawn of its ink; alone, without a stem that comes down to it, which is no letter.
     *
     * @param  list<Blob>   $blobs
     * @return list<string> columns of brightness
     */
    private static function letters(array $blobs, int $base, int $width, bool $alone): array
    {
        $rows = array_fill(0, Strip::HEIGHT, str_repeat("\xFF", $width));
        foreach ($blobs as $blob) {
            if ($alone && ($blob->top < $base - self::ABOVE_BASE || $blob->bottom > $base + self::UNDER_BASE)) {
                continue;
            }
            foreach ($blob->runs as [$row, $from, $to]) {
                if (isset($rows[$row]) && $from < $width) {
                    $run = min($to, $width) - $from;
                    $rows[$row] = substr_replace($rows[$row], str_repeat("\0", $run), $from, $run);
                }
            }
        }

        return Strip::turned($rows, $width);
    }

    /**
     * @param  list<Blob> $blobs
     * @return int|null   the row that most letters stand on; null where there are too few of them
     */
    private static function base(array $blobs, int $from, int $to, int $width): ?int
    {
        $ends = [];
        foreach ($blobs as $blob) {
            if ($blob->right < $width && $blob->top > $from && $blob->bottom < $to && $blob->height() >= 8 && $blob->height() <= 30 && $blob->width() >= 3 && $blob->width() <= 40) {
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
}
