<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Says what a blob is by the print that it looks most like, over many engravers' letters. */
final class Shapes
{
    private const TABLE = 'shapes.txt';

    /**
     * @param  list<Shape>|null    $among
     * @return array{Shape, float} and how far it is from it: below 0.2 is like, 0.3 is not
     */
    public static function nearest(Blob $blob, ?array $among = null): array
    {
        [$name, $far] = Prints::nearest(self::TABLE, $blob, $among === null ? null : array_map(static fn (Shape $shape): string => $shape->value, $among));

        return [Shape::tryFrom($name) ?? Shape::Text, $far];
    }

    /** The print that a blob looks like, where it is so near to one. */
    public static function like(Blob $blob, float $near): ?Shape
    {
        [$shape, $far] = self::nearest($blob);

        return $far < $near ? $shape : null;
    }
}
