<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Fingering\FingerSource;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\EventKind;
use Nasturtium\Core\Score\Hand;

/** A note, a chord or a rest, with all that is found of it. */
final readonly class Event implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $id  the same in the engraving and the sound
     * @param  Hand  $hand  that plays it
     * @param  Clef  $clef  it is read in
     * @param  string  $place  measure and beat
     * @param  string  $beats  that it lasts
     * @param  EventKind  $kind  of event
     * @param  list<string>  $pitches  lowest first
     * @param  list<string>  $letters  their names without the octave, lowest first
     * @param  int  $voice  1 is the main one of the hand, which counts follow
     * @param  list<string>  $staff  its places on the staff, lowest first; none on a page without one
     * @param  list<int|null>  $fingers  lowest note first; null where none is known
     * @param  list<int|null>|null  $fingersOr  another choice that is as good; null where there is none
     * @param  ?FingerSource  $fingerFrom  who says so; null without fingers
     * @param  ?string  $pattern  the standard pattern that the fingers are of: `A major scale`; null where they are of none
     * @param  ?string  $move  `start`, `repeat`, `step up`, `skip down`, `leap up 4th`, …; `held` for a tied note; null at rests
     * @param  ?int  $interval  steps from the note before in the same voice, up positive; null at the start and at rests
     * @param  ?string  $solfege  the syllables, those of a chord with spaces between; null at rests
     * @param  list<string>  $counts  that are said while it lasts
     */
    public function __construct(
        public string $id,
        public Hand $hand,
        public Clef $clef,
        public string $place,
        public string $beats,
        public EventKind $kind,
        public array $pitches,
        public array $letters,
        public int $voice,
        public array $staff,
        public array $fingers,
        public ?array $fingersOr,
        public ?FingerSource $fingerFrom,
        public ?string $pattern,
        public ?string $move,
        public ?int $interval,
        public ?string $solfege,
        public array $counts,
    ) {}
}
