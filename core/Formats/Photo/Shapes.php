<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Says what a blob is by the print that it looks most like, over many engravers' letters. */
final class Shapes
{
    /** @var list<array{Shape, int, int, string}>|null what, width and height in pixels of a strip, picture */
    private static ?array $table = null;

    /**
     * @param  list<Shape>|null    $among
     * @return array{Shape, float} and how far it is from it: below 0.2 is like, 0.3 is not
     */
    public static function nearest(Blob $blob, ?array $among = null): array
    {
        $picture = $blob->picture();
        [$width, $height] = [$blob->width(), $blob->height()];
        $best = [Shape::Text, 1.0];
        foreach (self::table() as [$shape, $w, $h, $other]) {
            if ($among !== null && ! in_array($shape, $among, true)) {
                continue;
            }
            $size = abs($width - $w) / max(6, $w) + abs($height - $h) / max(6, $h);
            if ($size > 0.8) {
                continue;
            }
            $far = substr_count($picture ^ $other, "\1") / (Blob::SIDE * Blob::SIDE) + 0.2 * $size;
            if ($far < $best[1]) {
                $best = [$shape, $far];
            }
        }

        return $best;
    }

    /** The print that a blob looks like, where it is so near to one. */
    public static function like(Blob $blob, float $near): ?Shape
    {
        [$shape, $far] = self::nearest($blob);

        return $far < $near ? $shape : null;
    }

    /** @return list<array{Shape, int, int, string}> */
    private static function table(): array
    {
        if (self::$table === null) {
            self::$table = [];
            foreach (file(__DIR__.'/shapes.txt', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
                [$shape, $width, $height, $hex] = [...explode(' ', $line), '', '', '', ''];
                self::$table[] = [Shape::from($shape), (int) $width, (int) $height, Blob::unpacked($hex)];
            }
        }

        return self::$table;
    }
}
