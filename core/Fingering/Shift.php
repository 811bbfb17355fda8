<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Place;

/** The hand moves: `keys` white keys, up positive. */
final readonly class Shift
{
    public function __construct(public Hand $hand, public Place $at, public int $keys) {}
}
