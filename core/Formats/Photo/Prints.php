<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** What many engravers' letters look like: a table of pictures, each with its name and its size in a strip. */
final class Prints
{
    /** @var array<string, list<array{string, int, int, string}>> by file: name, width and height in pixels of a strip, picture */
    private static array $tables = [];

    /** How much a difference in size counts, and how much of it there may be at all. */
    private const SIZE = 0.2;

    private const MOST = 0.8;

    /**
     * @param  string                $table a file of this folder
     * @param  list<string>|null     $among
     * @return array{string, float} the name of the print that a blob looks most like, empty where there is none, and how far it is from it: below 0.2 is like, 0.3 is not
     */
    public static function nearest(string $table, Blob $blob, ?array $among = null): array
    {
        $picture = $blob->picture();
        [$width, $height] = [$blob->width(), $blob->height()];
        $best = ['', 1.0];
        foreach (self::table($table) as [$name, $w, $h, $other]) {
            if ($among !== null && ! in_array($name, $among, true)) {
                continue;
            }
            $size = abs($width - $w) / max(6, $w) + abs($height - $h) / max(6, $h);
            if ($size > self::MOST) {
                continue;
            }
            $far = substr_count($picture ^ $other, "\1") / (Blob::SIDE * Blob::SIDE) + self::SIZE * $size;
            if ($far < $best[1]) {
                $best = [$name, $far];
            }
        }

        return $best;
    }

    /** @return list<array{string, int, int, string}> */
    private static function table(string $file): array
    {
        if (! isset(self::$tables[$file])) {
            self::$tables[$file] = [];
            foreach (file(__DIR__."/{$file}", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
                [$name, $width, $height, $hex] = [...explode(' ', $line), '', '', '', ''];
                self::$tables[$file][] = [$name, (int) $width, (int) $height, Blob::unpacked($hex)];
            }
        }

        return self::$tables[$file];
    }
}
