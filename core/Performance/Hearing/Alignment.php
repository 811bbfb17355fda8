<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** Which written note each key of a take was, and where the player went. */
final readonly class Alignment
{
    /**
     * @param  array<int, int>  $played  which note of the take it was, by the index of the written one; the last time, where it was played again
     * @param  array<int, int>  $runs  in which stretch without a jump a moment was played last, by its index
     * @param  array<int, true>  $missed  moments that were gone over without a key, by their index; what is neither here nor in runs was not come to
     * @param  list<int>  $extras  notes of the take that are none of the written
     * @param  list<int>  $again  notes of the take that were played before a place was played again
     * @param  list<array{int, int, int}>  $jumps  the note of the take after it, the moment that would have come, the moment that came
     */
    public function __construct(public int $cost, public array $played, public array $runs, public array $missed, public array $extras, public array $again, public array $jumps) {}
}
