<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report;

use Nasturtium\Core\Score\Piece;

/** The bars of a page that have a thorn, for nobody in particular, with those that are equal to one (trade 6.4). */
final class ThornBars
{
    /** @return list<int> indices of measures, in order */
    public static function of(Piece $piece): array
    {
        $numbers = [];
        foreach (ReportDocument::of(Breakdown::of($piece, new Settings()))->sticking as $point) {
            if ($point->thorn) {
                array_push($numbers, $point->measure, ...$point->serves);
            }
        }
        $bars = [];
        foreach ($piece->measures as $index => $measure) {
            if (in_array($measure->number, $numbers, true)) {
                $bars[] = $index;
            }
        }

        return $bars;
    }
}
