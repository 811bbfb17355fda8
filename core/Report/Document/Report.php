<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Score\Hand;

/** The whole breakdown of a piece (trade 14.1). */
final readonly class Report implements \JsonSerializable
{
    use Fields;

    /**
     * @param  int  $version  of this document; within one, fields are only ever added
     * @param  bool  $student  notes that a student knows were given; without them every note is new, and none is a reason to stick
     * @param  Piece  $piece  the head of the page
     * @param  list<Check>  $checks  what does not add up
     * @param  list<int>  $playOrder  measure numbers as played: repeats, endings and jumps followed
     * @param  Beats  $beats  its length
     * @param  list<Bar>  $bars  every measure
     * @param  CountIn  $countIn  before the first note
     * @param  list<Event>  $events  of the right hand, then of the left, each in time
     * @param  list<BarText>  $counting  of every bar and hand
     * @param  list<Position>  $positions  of the right hand, then of the left
     * @param  list<Shift>  $shifts  likewise
     * @param  list<Crossing>  $crossings  in runs that are longer than a hand
     * @param  list<Leap>  $leaps  of a sixth and more
     * @param  list<Span>  $spans  wide chords
     * @param  list<WeakRun>  $weakRuns  of fingers 4 and 5
     * @param  list<BarText>  $fingerLines  to be played in the air
     * @param  list<Note>  $notes  of the page, by clef and pitch
     * @param  ?string  $landmarksDue  that the way to a note has become long; null where it has not, or the school has no landmarks
     * @param  list<Trap>  $traps  of reading
     * @param  list<Drill>  $drill  new notes first
     * @param  list<Ring>  $rings  what the student knows least first
     * @param  Equal  $equal  bars
     * @param  list<Line>  $lines  as printed
     * @param  list<Hands>  $hands  by measure
     * @param  ?Hand  $handFirst  the one whose notes the student knows less; null when they are known alike, or one hand plays alone, or no notes were given
     * @param  list<Chunk>  $chunks  parts to practise, equal ones once
     * @param  list<Sticking>  $sticking  of each bar in which something sounds
     * @param  list<Pointed>  $lookOver  what is pointed at before a key is played, in order
     * @param  Learn  $learn  how much there is to learn
     * @param  string  $path  its name
     * @param  list<Stage>  $stages  that this page has, in order
     */
    public function __construct(
        public int $version,
        public bool $student,
        public Piece $piece,
        public array $checks,
        public array $playOrder,
        public Beats $beats,
        public array $bars,
        public CountIn $countIn,
        public array $events,
        public array $counting,
        public array $positions,
        public array $shifts,
        public array $crossings,
        public array $leaps,
        public array $spans,
        public array $weakRuns,
        public array $fingerLines,
        public array $notes,
        public ?string $landmarksDue,
        public array $traps,
        public array $drill,
        public array $rings,
        public Equal $equal,
        public array $lines,
        public array $hands,
        public ?Hand $handFirst,
        public array $chunks,
        public array $sticking,
        public array $lookOver,
        public Learn $learn,
        public string $path,
        public array $stages,
    ) {}
}
