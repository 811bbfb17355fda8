<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Reading\Ring as RingTask;

/** "Ring every E": a task that the page gives, with its answer. */
final readonly class Ring implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $what  `E`, `F#`
     * @param  int  $times  there is one to find
     * @param  list<string>  $events  ids
     */
    public function __construct(
        public string $what,
        public int $times,
        public array $events,
    ) {}

    public static function of(RingTask $ring): self
    {
        return new self($ring->what, $ring->times, $ring->events);
    }
}
