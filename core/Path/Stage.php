<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Practice\TaskTimes;

/** A stage of a page. */
final readonly class Stage
{
    /**
     * @param  list<Chunk>  $chunks
     * @param  int  $repetitions  of each chunk
     * @param  int|null  $tempo  in beats of the time signature a minute; null when no tempo is kept
     * @param  list<int>  $waitsFor  places in the list of stages, from 0
     * @param  string  $sentence  what the student does, as it fits the page
     * @param  string  $content  what it works on, the same as long as that does not change
     */
    public function __construct(
        public PathStep $step,
        public array $chunks,
        public int $repetitions,
        public ?int $tempo,
        public TaskTimes $times,
        public array $waitsFor,
        public string $sentence,
        public string $content,
    ) {}
}
