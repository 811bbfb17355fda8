<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A small note before a note; it is kept as printed and takes no time of its own. */
final readonly class Grace
{
    /**
     * @param  string  $value  the printed note value, such as `eighth`
     * @param  bool  $slashed  with a stroke through its stem
     * @param  bool  $chord  it sounds with the grace note before it
     * @param  list<SlurEnd>  $slurs
     */
    public function __construct(
        public Pitch $pitch,
        public string $value = 'eighth',
        public bool $slashed = false,
        public ?int $finger = null,
        public bool $chord = false,
        public array $slurs = [],
    ) {}

    public function at(Pitch $pitch): self
    {
        return new self($pitch, $this->value, $this->slashed, $this->finger, $this->chord, $this->slurs);
    }
}
