<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

use Nasturtium\Core\Score\Hand;

/** A step of a led run: what is said, played or awaited, and how long it takes. */
final readonly class LeadStep
{
    /**
     * @param  ?int  $task  that it belongs to; null for what is said between tasks
     * @param  string  $words  said and shown
     * @param  ?array{int, int}  $bars  indices of the first and last measure
     * @param  ?int  $tempo  beats a minute
     * @param  int  $seconds  that it takes, the count-in among them
     * @param  list<self>  $again  what comes where it went wrong, in the place of going on: smaller, slower, then the same
     * @param  bool  $ownWords  those of the task, which are said as they stand
     */
    public function __construct(
        public StepKind $kind,
        public ?int $task,
        public string $words,
        public int $seconds,
        public ?array $bars = null,
        public ?Hand $hand = null,
        public ?int $tempo = null,
        public array $again = [],
        public bool $ownWords = false,
    ) {}
}
