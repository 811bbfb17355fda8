<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Grace;
use Nasturtium\Core\Score\Ink;
use Nasturtium\Core\Score\Lyric;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\SlurEnd;
use Nasturtium\Core\Score\Tuplet;

/** A note, chord or rest while it is typed. */
final class TypedEvent
{
    /** @var list<Mark> */
    public array $marks = [];

    /** @var list<SlurEnd> */
    public array $slurs = [];

    /** @var list<Lyric> */
    public array $lyrics = [];

    /** @var list<Grace> */
    public array $graces = [];

    public ?Tuplet $tuplet = null;

    public bool $crossed = false;

    /**
     * @param  list<Note>  $notes
     * @param  bool  $wholeBar  a rest for the bar, however long it is
     */
    public function __construct(
        public Fraction $onset,
        public Duration $length,
        public array $notes,
        public readonly Span $at,
        public readonly bool $wholeBar = false,
    ) {}

    public function ink(): Ink
    {
        return new Ink($this->marks, $this->slurs, $this->lyrics, $this->graces, $this->tuplet);
    }

    public function isStruck(): bool
    {
        foreach ($this->notes as $note) {
            if (! $note->tieStop) {
                return true;
            }
        }

        return false;
    }
}
