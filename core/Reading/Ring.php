<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** "Ring every E on this page": a task that a page gives, with its answer. */
final readonly class Ring
{
    /**
     * @param  string  $what  `E`, or `F#`
     * @param  int  $times  how many there are to find
     * @param  list<string>  $events  ids of the events that hold one
     */
    public function __construct(public string $what, public int $times, public array $events) {}
}
