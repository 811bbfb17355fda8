<?php

declare(strict_types=1);

namespace App\Lead;

use App\Page\Piece\Piece;
use Nasturtium\Core\Score\Measure;

/** The numbers of a piece's bars as they are printed; a piece is read once, however many steps are of it. */
final class BarNumbers
{
    /** @var \WeakMap<Piece, list<int>>|null */
    private static ?\WeakMap $kept = null;

    /** @return list<int> by index; empty where its music is not typed */
    public static function of(Piece $piece): array
    {
        /** @var \WeakMap<Piece, list<int>> $kept */
        $kept = self::$kept ??= new \WeakMap();
        if (! isset($kept[$piece])) {
            $kept[$piece] = $piece->isTyped() ? array_map(static fn (Measure $measure): int => $measure->number, $piece->score()->measures) : [];
        }

        return $kept[$piece];
    }
}
