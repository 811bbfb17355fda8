<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;

/** One bar, less the pickup; a full bar before it when fewer than two counts are left (handbook 5). */
final readonly class CountIn
{
    /**
     * @param  list<string>  $counts  said before the first note
     * @param  string  $enter  the count the first note falls on
     */
    private function __construct(public array $counts, public string $enter) {}

    /** @param Fraction $pickup in whole notes; zero when the piece starts on one */
    public static function for(Meter $meter, Fraction $pickup): self
    {
        $bar = array_map(strval(...), range(1, $meter->count));
        $enters = $pickup->isZero() ? Fraction::zero() : $meter->beats($meter->measure()->minus($pickup));
        if ($enters->isZero()) {
            return new self($meter->count < 2 ? [...$bar, ...$bar] : $bar, '1');
        }
        $counts = array_slice($bar, 0, $enters->ceil());

        return new self(count($counts) < 2 ? [...$bar, ...$counts] : $counts, CountWords::at($enters));
    }
}
