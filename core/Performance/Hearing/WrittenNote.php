<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Place;

/** A key that is written, in play order; one that is tied on counts once. */
final readonly class WrittenNote
{
    /**
     * @param  string  $event  that it belongs to
     * @param  Fraction  $at  quarters from the beginning of the play order
     * @param  int  $tick  the same in WrittenMusic::QUARTER parts
     * @param  int  $lasts  so many of them
     * @param  int  $pitch  as MIDI numbers it
     * @param  int  $measure  index in the piece
     * @param  int  $bar  which of the bars that are played, from 0
     * @param  bool  $afterRest  its hand rests right before it
     */
    public function __construct(
        public string $event,
        public Fraction $at,
        public int $tick,
        public int $lasts,
        public int $pitch,
        public Hand $hand,
        public Place $place,
        public int $measure,
        public int $bar,
        public bool $afterRest = false,
    ) {}
}
