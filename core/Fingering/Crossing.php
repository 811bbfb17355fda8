<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Place;

/** The thumb goes under the hand, or a finger over the thumb. */
final readonly class Crossing
{
    /** @param int $finger that the thumb passes under, or that passes over it */
    public function __construct(public Hand $hand, public Place $at, public HandMove $move, public int $finger) {}
}
