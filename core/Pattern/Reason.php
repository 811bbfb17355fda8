<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

/** One reason why a place sticks, in words. */
final readonly class Reason
{
    /**
     * @param  int  $times  how often it happens there
     * @param  list<string>  $events  ids of the notes it speaks of
     */
    public function __construct(public Difficulty $difficulty, public string $text, public int $times, public array $events) {}

    public function score(): int
    {
        return $this->difficulty->weight() * min($this->times, Difficulty::MOST_TIMES);
    }
}
