<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance;

use Nasturtium\Core\Score\Fraction;

/** A beat of the metronome; the accent falls on the first of the bar. */
final readonly class Click
{
    /** @param Fraction $at beats from the first note */
    public function __construct(public Fraction $at, public bool $accent) {}
}
