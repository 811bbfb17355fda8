<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report;

use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Counting\NoteWords;
use Nasturtium\Core\Fingering\HandSize;
use Nasturtium\Core\Fingering\OwnFingers;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Reading\School;

/** Whose page it is: how this student reads, counts and learns. */
final readonly class Settings
{
    public Path $path;

    public KnownNotes $known;

    /** Nobody's notes are known, as when a page is looked at for no student in particular. */
    public bool $isForNobody;

    public Landmarks $landmarks;

    public Phrases $phrases;

    /** The teacher's, for this piece. */
    public OwnFingers $fingers;

    /**
     * @param  int  $handSpan  white keys from thumb to little finger, both counted: 8 is an octave
     * @param  int|null  $age  in years; null where it is not known
     * @param  int  $octave  that the student plays above what is written, as in a duet
     * @param  array<int, Verdict>  $verdicts  what the teacher says of single bars, by measure number
     * @param  NoteWords  $words  whose English the sentences are in; what lengths are called is said by the counting
     */
    public function __construct(
        PathKind|Path $path = PathKind::BeatFirst,
        public School $school = School::Landmark,
        public CountWay $counting = new CountWay(),
        ?Landmarks $landmarks = null,
        ?KnownNotes $known = null,
        ?Phrases $phrases = null,
        ?OwnFingers $fingers = null,
        public int $handSpan = HandSize::USUAL,
        public ?int $age = null,
        public int $octave = 0,
        public array $verdicts = [],
        public NoteWords $words = NoteWords::British,
    ) {
        $this->path = $path instanceof Path ? $path : Path::shipped($path);
        $this->landmarks = $landmarks ?? new Landmarks();
        $this->isForNobody = $known === null;
        $this->known = $known ?? KnownNotes::none();
        $this->phrases = $phrases ?? Phrases::usual();
        $this->fingers = $fingers ?? OwnFingers::none();
    }

    public function handSize(): HandSize
    {
        return HandSize::of($this->handSpan, $this->age);
    }
}
