<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Place;

/** A slip that a take tells of; the teacher confirms it or not. */
final readonly class ProposedSlip
{
    /**
     * @param  Place  $place  where it begins
     * @param  string  $why  what was heard, in words
     * @param  list<int>  $notes  that tell of it, by their index in the play order
     */
    public function __construct(public Slip $kind, public int $measure, public Place $place, public ?Hand $hand, public string $why, public array $notes) {}
}
