<?php

declare(strict_types=1);

namespace Tests\Photo;

use GdImage;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A picture as it comes from a scanner or a phone: turned a little, in uneven light, with noise, pressed as JPEG. */
final class Worn
{
    public static function scanned(string $picture, int $seed): string
    {
        $chance = new Randomizer(new Mt19937($seed));
        $image = imagerotate(self::opened($picture), $chance->getInt(-12, 12) / 10, 0xFFFFFF);
        assert($image !== false);
        imagefilter($image, IMG_FILTER_GAUSSIAN_BLUR);

        return self::pressed(self::noised($image, $chance, 10, 0.0), $chance->getInt(70, 90));
    }

    public static function photographed(string $picture, int $seed): string
    {
        $chance = new Randomizer(new Mt19937($seed));
        $image = self::leaning(self::opened($picture), $chance->getInt(-40, 40) / 1000, $chance->getInt(-60, 60) / 1000);
        imagefilter($image, IMG_FILTER_GAUSSIAN_BLUR);

        return self::pressed(self::noised($image, $chance, 8, 0.5), $chance->getInt(70, 85));
    }

    private static function opened(string $picture): GdImage
    {
        $image = imagecreatefromstring($picture);
        assert($image !== false);
        imagepalettetotruecolor($image);

        return $image;
    }

    /** Aslant by so much, and narrower towards the bottom, as from a phone that is not held straight. */
    private static function leaning(GdImage $image, float $slope, float $narrower): GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $to = imagecreatetruecolor($width, $height + 200);
        assert($to !== false);
        imagefill($to, 0, 0, 0x38332C);
        $middle = imagecreatetruecolor($width, $height);
        assert($middle !== false);
        imagefill($middle, 0, 0, 0xFFFFFF);
        for ($y = 0; $y < $height; $y++) {
            $cut = (int) ($width * abs($narrower) / 2 * ($narrower > 0 ? $y : $height - $y) / $height);
            imagecopyresampled($middle, $image, $cut, $y, 0, $y, $width - 2 * $cut, 1, $width, 1);
        }
        for ($x = 0; $x < $width; $x++) {
            imagecopy($to, $middle, $x, (int) round(100 + $slope * ($x - $width / 2)), $x, 0, 1, $height);
        }

        return $to;
    }

    /** Noise, and a light that falls off to the right by so much. */
    private static function noised(GdImage $image, Randomizer $chance, int $noise, float $dark): GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $value = (imagecolorat($image, $x, $y) >> 8) & 255;
                $value = (int) max(0, min(255, (0.92 * $value + 8) * (1 - $dark * $x / $width) + $chance->getInt(-$noise, $noise)));
                imagesetpixel($image, $x, $y, $value * 0x010101);
            }
        }

        return $image;
    }

    private static function pressed(GdImage $image, int $quality): string
    {
        ob_start();
        imagejpeg($image, null, $quality);

        return (string) ob_get_clean();
    }
}
