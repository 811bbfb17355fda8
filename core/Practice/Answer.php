<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** One answer to a card. */
final readonly class Answer
{
    /**
     * @param  int  $at  seconds, counted from any moment, the same for all
     * @param  int  $milliseconds  from the card being drawn to the answer
     */
    public function __construct(public bool $right, public int $milliseconds, public int $at = 0) {}
}
