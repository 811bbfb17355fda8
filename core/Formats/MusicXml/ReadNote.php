<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Grace;
use Nasturtium\Core\Score\Ink;
use Nasturtium\Core\Score\Lyric;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\SlurEnd;
use Nasturtium\Core\Score\Tuplet;

/** A note, chord or rest of a file while its measure is read. */
final class ReadNote
{
    /** @var list<Note> */
    public array $notes = [];

    /** @var list<Mark> */
    public array $marks = [];

    /** @var list<SlurEnd> */
    public array $slurs = [];

    /** @var list<Lyric> */
    public array $lyrics = [];

    /** @var list<Grace> */
    public array $graces = [];

    public ?Tuplet $tuplet = null;

    public function __construct(
        public readonly string $voice,
        public readonly int $staff,
        public readonly Fraction $onset,
        public readonly Duration $length,
    ) {}

    public function ink(): Ink
    {
        return new Ink($this->marks, $this->slurs, $this->lyrics, $this->graces, $this->tuplet);
    }

    /** Takes over what is written at another head of the same chord. */
    public function join(NoteReading $head): void
    {
        foreach ($head->marks as $mark) {
            if (! in_array($mark, $this->marks, true)) {
                $this->marks[] = $mark;
            }
        }
        array_push($this->slurs, ...$head->slurs);
        array_push($this->lyrics, ...$head->lyrics);
    }
}
