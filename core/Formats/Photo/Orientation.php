<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** How a camera held the picture: the one number of its metadata that is read. */
final class Orientation
{
    private const DEGREES = [3 => 180, 6 => 90, 8 => 270];

    /** @return int degrees clockwise that set the picture upright; 0 where nothing, or nothing sensible, is said */
    public static function degrees(string $bytes): int
    {
        if (! str_starts_with($bytes, "\xFF\xD8")) {
            return 0;
        }
        $at = strpos(substr($bytes, 0, 65_536), "Exif\0\0");
        if ($at === false) {
            return 0;
        }
        $tags = substr($bytes, $at + 6, 4_096);
        $little = str_starts_with($tags, 'II');
        $short = static fn (int $from): int => strlen($tags) < $from + 2 ? 0 : ($little ? ord($tags[$from]) + 256 * ord($tags[$from + 1]) : 256 * ord($tags[$from]) + ord($tags[$from + 1]));
        $first = $short($little ? 4 : 6);
        for ($i = 0, $count = min(64, $short($first)); $i < $count; $i++) {
            $entry = $first + 2 + 12 * $i;
            if ($short($entry) === 0x0112) {
                return self::DEGREES[$short($entry + 8)] ?? 0;
            }
        }

        return 0;
    }
}
