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
     * @param  list<Mark>  $marks
     */
    public function __construct(
        public string $id,
        public Hand $hand,
        public Clef $clef,
        public int $measure,
        public Fraction $onset,
        public Duration $duration,
        public array $notes = [],
        public array $marks = [],
        public ?string $lyric = null,
        public ?string $dynamic = null,
    ) {
        $this->end = $onset->plus($duration->whole);
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
        return ($this->notes[0] ?? throw new InvalidScore("a rest has no pitch (event {$this->id})"))->pitch;
    }

    public function has(Mark $mark): bool
    {
        return in_array($mark, $this->marks, true);
    }
}
