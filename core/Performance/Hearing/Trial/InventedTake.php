<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing\Trial;

use Nasturtium\Core\Performance\Hearing\TakenNote;

/** A take that was made, with the truth about it. */
final readonly class InventedTake
{
    /**
     * @param  list<TakenNote>  $taken
     * @param  array<int, TrueNote>  $notes  by the index of the written one
     * @param  list<array{int, int}>  $extras  when, and which key
     * @param  list<array{int, int}>  $again  the same of what was played before a place was played again
     * @param  list<int>  $stalls  moments they come before
     * @param  list<array{int, int}>  $restarts  when, and the moment that came
     * @param  list<int>  $apart  moments
     */
    public function __construct(public array $taken, public array $notes, public array $extras, public array $again, public array $stalls, public array $restarts, public array $apart) {}
}
