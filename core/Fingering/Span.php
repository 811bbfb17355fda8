<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Place;

/** How far a chord stretches the hand. */
final readonly class Span
{
    /**
     * @param  int  $keys  white keys from its lowest to its highest note, both counted: 8 is an octave
     * @param  bool  $fits  the student's hand reaches it
     */
    public function __construct(public Hand $hand, public Place $at, public int $keys, public bool $fits) {}
}
