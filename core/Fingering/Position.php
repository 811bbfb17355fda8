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
     * @param  list<int>  $keys  numbers of the keys under fingers 1 to 5, as the key signature has them: middle C is 60
     * @param  string  $name  `C position`, `thumb on D4`
     */
    public function __construct(
        public Hand $hand,
        public Place $from,
        public Place $to,
        public Pitch $thumb,
        public Pitch $low,
        public Pitch $high,
        public array $keys,
        public string $name,
    ) {}
}
