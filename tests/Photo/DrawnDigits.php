<?php

declare(strict_types=1);

namespace Tests\Photo;

use Nasturtium\Core\Formats\Photo\Blob;
use Nasturtium\Core\Formats\Photo\Blobs;

/** The ten digits in the fonts that are installed, as prints of a table. */
final class DrawnDigits
{
    private const FONTS = [
        'opentype/urw-base35/C059-Roman.otf', 'opentype/urw-base35/C059-Italic.otf', 'opentype/urw-base35/C059-Bold.otf', 'opentype/urw-base35/C059-BdIta.otf',
        'opentype/urw-base35/NimbusRoman-Regular.otf', 'opentype/urw-base35/NimbusRoman-Italic.otf', 'opentype/urw-base35/NimbusRoman-Bold.otf',
        'opentype/urw-base35/NimbusSans-Regular.otf', 'opentype/urw-base35/NimbusSans-Bold.otf', 'opentype/urw-base35/NimbusSans-Italic.otf',
        'opentype/urw-base35/P052-Roman.otf', 'opentype/urw-base35/P052-Italic.otf', 'opentype/urw-base35/URWBookman-Light.otf', 'opentype/urw-base35/URWGothic-Book.otf',
        'truetype/dejavu/DejaVuSerif.ttf', 'truetype/dejavu/DejaVuSans.ttf', 'truetype/liberation/LiberationSerif-Italic.ttf',
    ];

    /** Pixels of a digit from top to bottom. */
    private const HEIGHTS = [14, 20];

    /** @return list<string> digit, width, height and picture of each */
    public static function all(): array
    {
        $lines = [];
        foreach (self::FONTS as $font) {
            foreach (is_file("/usr/share/fonts/{$font}") ? self::HEIGHTS : [] as $height) {
                for ($digit = 0; $digit <= 9; $digit++) {
                    $lines[self::line((string) $digit, self::drawn("/usr/share/fonts/{$font}", (string) $digit, $height))] = true;
                }
            }
        }
        ksort($lines, SORT_STRING);

        return array_keys($lines);
    }

    /** @return string a print as a table has it: its name, width, height and picture, four pixels a digit */
    public static function line(string $name, Blob $blob): string
    {
        return "{$name} {$blob->width()} {$blob->height()} ".implode('', array_map(static fn (string $four): string => dechex((int) bindec(strtr($four, "\0\1", '01'))), str_split($blob->picture(), 4)));
    }

    private static function drawn(string $font, string $digit, int $height): Blob
    {
        $image = imagecreatetruecolor(60, 60);
        assert($image !== false);
        imagefill($image, 0, 0, 0xFFFFFF);
        // A digit is about 0.7 as tall as its font.
        imagettftext($image, $height / 0.7 * 0.75, 0, 15, 45, 0, $font, $digit);
        $runs = [];
        for ($y = 0; $y < 60; $y++) {
            for ($x = 0; $x < 60; $x++) {
                if ((imagecolorat($image, $x, $y) & 0xFF) < 0x80) {
                    $runs[] = [$y, $x, $x + 1];
                }
            }
        }

        return Blobs::made($runs);
    }
}
