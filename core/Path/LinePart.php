<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

/** What a stage is on one printed line of its page. */
final readonly class LinePart
{
    /**
     * @param  int  $line  from 1
     * @param  int  $of  lines on which the stage has something; what is the same is learnt once
     * @param  non-empty-list<array{int, int}>  $ranges  first and last index of a measure
     */
    public function __construct(public int $line, public int $of, public array $ranges) {}
}
