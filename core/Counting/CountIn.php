<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;

/** One bar, less the pickup; a full bar before it when fewer than two counts are left (trade 5.5). */
final readonly class CountIn
{
    /**
     * @param  list<string>  $counts  said before the first note
     * @param  string  $enter  the count the first note falls on
     */
    private function __construct(public array $counts, public string $enter) {}

    /** @param Fraction $pickup in whole notes; zero when the piece starts on one */
    public static function for(Meter $meter, Fraction $pickup, CountWay $way = new CountWay()): self
    {
        // A count-in is in numbers, whatever is said afterwards.
        $words = BeatWords::of($meter, new CountWay(compound: $way->compound));
        $bar = array_map(strval(...), range(1, $words->count()));
        $enters = $pickup->isZero() ? Fraction::zero() : $words->beats($meter->measure()->minus($pickup));
        $counts = $enters->isZero() ? $bar : array_slice($bar, 0, $enters->ceil());

        return new self(self::ready(count($counts) < 2 ? [...$bar, ...$counts] : $counts, $way->ready), $words->at($enters));
    }

    /**
     * The last words may be the teacher's.
     *
     * @param  list<string>  $counts
     * @return list<string>
     */
    private static function ready(array $counts, string $ready): array
    {
        $said = preg_split('/\s+/u', trim($ready), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $said = array_slice($said, -count($counts));

        return [...array_slice($counts, 0, count($counts) - count($said)), ...$said];
    }
}
