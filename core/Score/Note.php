<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** One written note head. */
final readonly class Note
{
    /**
     * @param  int|null  $finger  as printed on the page; 1 is the thumb
     * @param  bool  $courtesy  its accidental is printed though no rule asks for it
     */
    public function __construct(
        public Pitch $pitch,
        public ?int $finger = null,
        public bool $tieStart = false,
        public bool $tieStop = false,
        public bool $courtesy = false,
    ) {}

    /** The same note head on another pitch. */
    public function at(Pitch $pitch): self
    {
        return new self($pitch, $this->finger, $this->tieStart, $this->tieStop, $this->courtesy);
    }

    public function withFinger(?int $finger): self
    {
        return new self($this->pitch, $finger, $this->tieStart, $this->tieStop, $this->courtesy);
    }
}
