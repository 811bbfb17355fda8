<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Event;

/** The kind of note that an event is written as. */
final readonly class NoteLength
{
    private function __construct(public string $value, public int $dots, public bool $triplet) {}

    /** @return self|null null for a length that no single note has */
    public static function of(Event $event): ?self
    {
        $note = $event->writtenLength()->asNote();
        $tuplet = $event->ink->tuplet;

        return $note === null ? null : new self($note[0], $note[1], $tuplet !== null && $tuplet->actual % 3 === 0);
    }

    public function prefix(): string
    {
        return ($this->triplet ? 'triplet ' : '').['', 'dotted ', 'double-dotted '][$this->dots];
    }

    /** `dotted quarter`: what a table of words is asked for. */
    public function key(): string
    {
        return NoteWords::American->name($this);
    }
}
