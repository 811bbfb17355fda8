<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Place;

/** The hand moves. */
final readonly class Shift
{
    /**
     * @param  int  $keys  white keys, up positive
     * @param  Pitch  $from  the thumb's key before
     * @param  Pitch  $to  and after
     * @param  Fraction  $time  beats from the strike before to this one
     * @param  Fraction  $rest  beats of it that are silent
     */
    public function __construct(
        public Hand $hand,
        public Place $at,
        public int $keys,
        public Pitch $from,
        public Pitch $to,
        public Fraction $time,
        public Fraction $rest,
    ) {}
}
