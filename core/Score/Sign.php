<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A sign at a moment of a measure. */
final readonly class Sign
{
    /**
     * @param  Hand  $staff  the hand whose own staff it belongs to
     * @param  Fraction  $onset  whole notes from the start of the measure
     * @param  string  $text  the dynamic, the words; empty for the rest
     * @param  bool  $above  it stands above the staff
     */
    public function __construct(
        public SignKind $kind,
        public Hand $staff,
        public Fraction $onset,
        public string $text = '',
        public bool $above = false,
        public ?Metronome $metronome = null,
    ) {}

    /** The same sign on another staff. */
    public function on(Hand $staff): self
    {
        return new self($this->kind, $staff, $this->onset, $this->text, $this->above, $this->metronome);
    }

    /** The same sign at another moment. */
    public function at(Fraction $onset): self
    {
        return new self($this->kind, $this->staff, $onset, $this->text, $this->above, $this->metronome);
    }
}
