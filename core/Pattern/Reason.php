<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Score\Hand;

/** One reason why a place sticks, in words. */
final readonly class Reason
{
    /**
     * @param  int  $times  how often it happens there
     * @param  list<string>  $events  ids of the notes it speaks of
     * @param  Hand|null  $hand  in which it is; null for both
     * @param  bool  $leadsOn  it is the way into the next bar
     */
    public function __construct(public Difficulty $difficulty, public string $text, public int $times, public array $events, public ?Hand $hand = null, public bool $leadsOn = false) {}

    public function score(): int
    {
        return $this->difficulty->weight() * min($this->times, Difficulty::MOST_TIMES);
    }
}
