<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use GdImage;

/** Makes pictures of columns of brightness. Nothing of the file that they came from is in them but the light. */
final class GreyPicture
{
    private const QUALITY = 78;

    /**
     * @param list<string> $columns
     *
     * @return string a JPEG
     */
    public static function jpeg(array $columns, int $from, int $to): string
    {
        return self::written(self::of($columns, $from, $to));
    }

    public static function written(GdImage $image): string
    {
        ob_start();
        imagejpeg($image, null, self::QUALITY);

        return (string) ob_get_clean();
    }

    /**
     * @param list<string> $columns one byte a pixel from the top
     * @param int          $from    the first row
     * @param int          $to      the row after the last
     */
    public static function of(array $columns, int $from, int $to): GdImage
    {
        $height = max(1, $to - $from);
        $width = max(1, count($columns));
        // A bitmap of shades holds rows from the bottom: written column by column it is the picture turned to the right.
        $pad = str_repeat("\0", (4 - $height % 4) % 4);
        $palette = implode('', array_map(static fn (int $value): string => chr($value).chr($value).chr($value)."\0", range(0, 255)));
        $pixels = '';
        for ($x = $width - 1; $x >= 0; $x--) {
            $pixels .= str_pad(substr($columns[$x] ?? '', $from, $height), $height, "\xFF").$pad;
        }
        $head = 'BM'.pack('VvvV', 54 + 1024 + strlen($pixels), 0, 0, 54 + 1024)
            .pack('VVVvvVVVVVV', 40, $height, $width, 1, 8, 0, strlen($pixels), 2835, 2835, 256, 0);
        $turned = imagecreatefromstring($head.$palette.$pixels);
        $upright = $turned === false ? false : imagerotate(self::mirrored($turned), -90, 0);

        return $upright === false ? throw BadPhoto::noPicture() : $upright;
    }

    private static function mirrored(GdImage $image): GdImage
    {
        imageflip($image, IMG_FLIP_VERTICAL);

        return $image;
    }
}
