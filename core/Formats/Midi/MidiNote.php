<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

/** A key as it was played, in ticks from the start of the file. */
final readonly class MidiNote
{
    public function __construct(public int $from, public int $to, public int $key, public int $track) {}
}
