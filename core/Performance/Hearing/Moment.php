<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** What is struck at once. */
final readonly class Moment
{
    /**
     * @param  list<int>  $notes  of the written music, in its order
     * @param  list<int>  $keys  what they are, each once, as MIDI numbers them
     * @param  bool  $begins  it is the first of its bar
     * @param  int  $bar  which of the bars that are played
     */
    public function __construct(public int $tick, public array $notes, public array $keys, public bool $begins, public int $bar) {}
}
