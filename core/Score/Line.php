<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A system of the student's printed page: measures from index to index, both included. */
final readonly class Line
{
    public function __construct(public int $from, public int $to) {}
}
