<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use GdImage;

/** Says why no staff can be seen in a picture, where the picture itself is the reason. */
final class PictureFaults
{
    /** The difference of ink and paper, of 255, under which print is too faint. */
    private const FAINT = 45;

    /** The share of that difference that the steepest edges have from one pixel to the next, under which they are blurred. */
    private const BLURRED = 0.2;

    private const SAMPLED = 64;

    /** @return BadPhoto|null null for a sharp one */
    public static function of(GdImage $image): ?BadPhoto
    {
        $ranges = [];
        $edges = [];
        [$width, $height] = [imagesx($image), imagesy($image)];
        for ($i = 0; $i < self::SAMPLED; $i++) {
            $column = Decoder::column($image, (int) (($i + 0.5) * $width / self::SAMPLED), $height);
            $steepest = 0;
            foreach ($column as $y => $value) {
                $steepest = max($steepest, abs($value - ($column[$y - 1] ?? $value)));
            }
            sort($column);
            $ranges[] = ($column[(int) (0.9 * $height)] ?? 0) - ($column[(int) (0.01 * $height)] ?? 0);
            $edges[] = $steepest;
        }
        rsort($ranges);
        rsort($edges);
        // Half of the page may be blank.
        $range = $ranges[intdiv(self::SAMPLED, 4)] ?? 0;
        $edge = $edges[intdiv(self::SAMPLED, 4)] ?? 0;

        return match (true) {
            $range < 8 => null,
            $range < self::FAINT => BadPhoto::tooFaint(),
            $edge < self::BLURRED * $range => BadPhoto::tooBlurred(),
            default => null,
        };
    }
}
