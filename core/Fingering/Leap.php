<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Place;

/** Move the arm, do not reach. */
final readonly class Leap
{
    /** @param int $steps letter names from note to note, up positive */
    public function __construct(public Hand $hand, public Place $at, public Pitch $from, public Pitch $to, public int $steps) {}
}
