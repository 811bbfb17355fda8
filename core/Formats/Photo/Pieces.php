<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Tells the pieces of a page apart: one ends with a thick bar line, and the next one begins with a time of its own. */
final class Pieces
{
    /**
     * @param  non-empty-list<System>                  $systems
     * @return non-empty-list<non-empty-list<System>>
     */
    public static function of(array $systems): array
    {
        $pieces = [];
        $own = [];
        foreach ($systems as $system) {
            if ($own !== [] && self::ends($own[count($own) - 1]) && $system->opensAnew()) {
                $pieces[] = $own;
                $own = [];
            }
            $own[] = $system;
        }
        $pieces[] = $own;

        return $pieces;
    }

    private static function ends(System $system): bool
    {
        $last = $system->bars[count($system->bars) - 1][3] ?? null;

        return $last !== null && $last->thick > 0;
    }
}
