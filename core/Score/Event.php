<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** What one hand does at one moment: a note, a chord or a rest. */
final readonly class Event
{
    public Fraction $end;

    /**
     * @param  string  $id  unique in the piece, the same each time the same music is read
     * @param  int  $measure  index in the piece's measures
     * @param  Fraction  $onset  whole notes from the start of the measure
     * @param  list<Note>  $notes  lowest first; none is a rest
     * @param  int  $voice  1 is the hand's main voice
     * @param  bool  $crossed  it stands on the other hand's staff
     * @param  int  $ottava  octaves it sounds above where it is written
     */
    public function __construct(
        public string $id,
        public Hand $hand,
        public Clef $clef,
        public int $measure,
        public Fraction $onset,
        public Duration $duration,
        public array $notes = [],
        public Ink $ink = new Ink(),
        public int $voice = 1,
        public bool $crossed = false,
        public int $ottava = 0,
    ) {
        $this->end = $onset->plus($duration->whole);
    }

    /**
     * The same event with other notes in the place of its own.
     *
     * @param  list<Note>  $notes
     * @param  list<Grace>  $graces
     */
    public function withNotes(array $notes, array $graces): self
    {
        $ink = new Ink($this->ink->marks, $this->ink->slurs, $this->ink->lyrics, $graces, $this->ink->tuplet);

        return new self($this->id, $this->hand, $this->clef, $this->measure, $this->onset, $this->duration, $notes, $ink, $this->voice, $this->crossed, $this->ottava);
    }

    public function kind(): EventKind
    {
        return match (count($this->notes)) {
            0 => EventKind::Rest,
            1 => EventKind::Note,
            default => EventKind::Chord,
        };
    }

    public function isRest(): bool
    {
        return $this->notes === [];
    }

    /** Nothing is struck: every note of it is tied from the one before. */
    public function isHeld(): bool
    {
        foreach ($this->notes as $note) {
            if (! $note->tieStop) {
                return false;
            }
        }

        return $this->notes !== [];
    }

    public function isStruck(): bool
    {
        return $this->notes !== [] && ! $this->isHeld();
    }

    /** @throws InvalidScore when it is a rest */
    public function lowest(): Pitch
    {
        return ($this->notes[0] ?? throw InvalidScore::restWithoutPitch($this->id))->pitch;
    }

    public function has(Mark $mark): bool
    {
        return in_array($mark, $this->ink->marks, true);
    }

    /** The hand whose own staff it is written on. */
    public function staff(): Hand
    {
        return $this->crossed ? $this->hand->other() : $this->hand;
    }

    /** The length as it is written, before a tuplet squeezes it. */
    public function writtenLength(): Duration
    {
        return $this->ink->tuplet === null
            ? $this->duration
            : Duration::ofWhole($this->duration->whole->dividedBy($this->ink->tuplet->ratio()));
    }
}
