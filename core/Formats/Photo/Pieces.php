<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Tells the pieces of a page apart: one ends with a thick bar line, and the next one begins with a time of its own. */
final class Pieces
{
    /** How many times as wide as others the line is that ends a piece. */
    private const THICKER = 2;

    /**
     * @param  non-empty-list<System>                  $systems
     * @return non-empty-list<non-empty-list<System>>
     */
    public static function of(array $systems): array
    {
        $pieces = [];
        $own = [];
        foreach ($systems as $system) {
            $ends = $own !== [] && self::ends($own[count($own) - 1]);
            // What one staff alone shows in the midst of a piece may be a note.
            $opens = $own !== [] && ($ends || isset($system->staves[1])) && $system->opensAnew();
            if ($ends && $opens) {
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
        $lines = array_values(array_filter(array_column($system->bars, 3)));
        $last = $system->bars[count($system->bars) - 1][3] ?? null;
        if ($last === null || $last->thick === 0) {
            return false;
        }
        // Where a picture is soft every line is as wide.
        $narrowest = min($last->right - $last->left, ...array_map(static fn (BarLine $line): int => $line->right - $line->left, $lines));

        return count($lines) === 1 || $last->right - $last->left >= self::THICKER * $narrowest;
    }
}
