<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** A rhythm to tap: when its notes begin, at the tempo of the count-in. */
final readonly class Taps
{
    /**
     * @param  int  $beat  milliseconds of one count
     * @param  list<string>  $countIn  said before it, one each beat
     * @param  non-empty-list<int>  $at  milliseconds from the first beat of the bar
     */
    public function __construct(public int $beat, public array $countIn, public array $at) {}
}
