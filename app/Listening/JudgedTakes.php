<?php

declare(strict_types=1);

namespace App\Listening;

use App\Page\Piece\Piece;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Heard;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece as Score;

/** Takes of a page with what was heard in them; a take that was judged by this revision of the page is not judged anew. */
final class JudgedTakes
{
    /**
     * @param  list<Take>  $takes
     * @return list<TakeResource>
     */
    public static function of(array $takes, Piece $piece, ?Hand $hand): array
    {
        return array_map(static fn (Take $take): TakeResource => TakeResource::of(
            $take,
            Judged::kept($take->judged, $piece->revision) ?? Judged::of(self::heard($piece->score(), [$take->first, $take->last], $hand, $take->notes, $take->source), $piece->revision),
        ), $takes);
    }

    /**
     * Of a page that was typed anew meanwhile, what is left of the bars.
     *
     * @param  array{int, int}  $bars  indices of the first and last measure
     */
    public static function heard(Score $score, array $bars, ?Hand $hand, string $notes, Source $source): Heard
    {
        $end = count($score->measures) - 1;

        return Hear::take(WrittenMusic::of($score, [min($bars[0], $end), min($bars[1], $end)], $hand), TakeFile::read($notes), $source);
    }
}
