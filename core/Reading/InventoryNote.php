<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Place;

/** One note of a page, in one clef. */
final readonly class InventoryNote
{
    /**
     * @param  int  $times  how often it is written
     * @param  list<string>  $events  the ids of the events that hold it
     * @param  int  $midi  the number of the key that is played: middle C is 60
     * @param  int  $steps  from the landmark, up positive
     */
    public function __construct(
        public Clef $clef,
        public Pitch $pitch,
        public int $times,
        public Place $first,
        public array $events,
        public NoteStatus $status,
        public string $staff,
        public string $route,
        public string $key,
        public int $midi,
        public Pitch $landmark,
        public int $steps,
    ) {}
}
