<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Score\Hand;

/** One stage of one page, with what it is done on and how long it takes. */
final readonly class Stage
{
    /**
     * @param  Hand|null  $hand  null for both
     * @param  list<Chunk>  $chunks
     * @param  int  $repetitions  of each chunk
     * @param  int|null  $tempo  in beats of the time signature a minute; null when no tempo is kept
     * @param  int  $halfMinutes  its estimated time
     * @param  list<int>  $waitsFor  places in the list of stages, from 0
     */
    public function __construct(
        public StageKind $kind,
        public ?Hand $hand,
        public array $chunks,
        public int $repetitions,
        public ?int $tempo,
        public int $halfMinutes,
        public array $waitsFor,
    ) {}
}
