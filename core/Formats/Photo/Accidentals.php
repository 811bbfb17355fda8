<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Sharps, flats and naturals, put together where taking the lines out has cut them. */
final class Accidentals
{
    public const SHAPES = [Shape::Sharp, Shape::Flat, Shape::Natural];

    private const LIKE = 0.24;

    /** How far a sign may be from the print that touches another. */
    private const TOUCHING = 0.3;

    /**
     * @param  list<Blob> $blobs from left to right
     * @return list<Blob> with the parts of a sign as one
     */
    public static function whole(array $blobs, int $from, int $to): array
    {
        for ($i = 0; isset($blobs[$i]); $i++) {
            $blob = $blobs[$i];
            if ($blob->right < $from || $blob->left > $to || $blob->width() > 30 || $blob->height() > 60 || $blob->area < 12) {
                continue;
            }
            $own = Shapes::nearest($blob, self::SHAPES)[1];
            for ($k = $i + 1; $own > 0.15 && isset($blobs[$k]) && $blobs[$k]->left <= $blob->right + 5; $k++) {
                $both = $blob->with($blobs[$k]);
                if ($blobs[$k]->area < 6 || $both->width() > 30 || $both->height() > 60 || min($blob->bottom, $blobs[$k]->bottom) + 6 < max($blob->top, $blobs[$k]->top)) {
                    continue;
                }
                $far = Shapes::nearest($both, self::SHAPES)[1];
                if ($far < self::LIKE && $far < $own) {
                    [$blob, $own] = [$both, $far];
                    $blobs[$i] = $both;
                    array_splice($blobs, $k, 1);
                    $k = $i;
                }
            }
        }

        return $blobs;
    }

    /**
     * A sign of a key that touches the next one, cut out where it is expected to stand.
     *
     * @return Blob|null null where none looks like it
     */
    public static function cutOut(Blob $blob, int $from, Shape $shape, int $place): ?Blob
    {
        $row = Strip::row($place);
        [$top, $bottom] = $shape === Shape::Flat ? [$row - 36, $row + 11] : [$row - 25, $row + 25];
        [$best, $least] = [null, self::TOUCHING];
        for ($left = $from; $left <= $from + 6; $left += 2) {
            for ($width = 12; $width <= 22; $width += 2) {
                $part = $blob->within($left, $left + $width, $top, $bottom);
                $far = $part === null || $part->height() < 26 ? 1.0 : Shapes::nearest($part, [$shape])[1];
                if ($part !== null && $far < $least && abs(self::place($part, $shape) - $place) <= 1) {
                    [$best, $least] = [$part, $far];
                }
            }
        }

        return $best;
    }

    /** The place that a sign alters: the middle of a sharp or a natural, the bowl of a flat. */
    public static function place(Blob $blob, Shape $shape): int
    {
        $y = $shape === Shape::Flat ? $blob->bottom - 8 : $blob->y();

        return (int) round((Strip::BOTTOM - $y) / 8);
    }
}
