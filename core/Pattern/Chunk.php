<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Place;

/** A part of the page to practise: from a beat to a beat, both included. */
final readonly class Chunk
{
    /**
     * @param  int  $first  index of its first measure
     * @param  int  $last  index of its last measure
     * @param  Fraction  $beats  that it lasts, as played, of the kind that the piece begins with
     * @param  list<Place>  $serves  where else the same music stands, its own place first
     */
    public function __construct(
        public ChunkKind $kind,
        public int $first,
        public int $last,
        public Place $from,
        public Place $to,
        public Fraction $beats,
        public array $serves,
    ) {}
}
