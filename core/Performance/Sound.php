<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;

/** The keys that an event strikes, and how long they are held, ties included. */
final readonly class Sound
{
    /**
     * @param  string  $id  of the event
     * @param  Fraction  $at  beats from the first note
     * @param  list<int>  $keys  as MIDI numbers
     * @param  array<int, Fraction>  $longer  beats of the keys that a tie holds longer than the others, by key
     */
    public function __construct(
        public string $id,
        public Hand $hand,
        public Fraction $at,
        public Fraction $beats,
        public array $keys,
        public array $longer = [],
    ) {}

    /** @return Fraction beats that this key is held */
    public function held(int $key): Fraction
    {
        return $this->longer[$key] ?? $this->beats;
    }

    /** The same, with one key tied on to a later end. */
    public function until(Fraction $end, int $key): self
    {
        $beats = $end->minus($this->at);

        return count($this->keys) === 1
            ? new self($this->id, $this->hand, $this->at, $beats, $this->keys)
            : new self($this->id, $this->hand, $this->at, $this->beats, $this->keys, [$key => $beats] + $this->longer);
    }

    /** The same in a range of its own: from its start, and cut at its end. */
    public function within(Fraction $start, Fraction $end): self
    {
        $left = $end->minus($this->at);
        $cut = static fn (Fraction $beats): Fraction => $beats->compare($left) > 0 ? $left : $beats;

        return new self($this->id, $this->hand, $this->at->minus($start), $cut($this->beats), $this->keys, array_map($cut, $this->longer));
    }
}
