<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Place;

/** Five fingers on five neighbouring letter names, for a stretch of the piece. */
final readonly class Position
{
    /**
     * @param  Pitch  $thumb  as the key signature has it
     * @param  string  $name  `C position`, `thumb on D4`
     */
    public function __construct(
        public Hand $hand,
        public Place $from,
        public Place $to,
        public Pitch $thumb,
        public Pitch $low,
        public Pitch $high,
        public string $name,
    ) {}
}
