<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Counting\Counts;
use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\HandFingers;
use Nasturtium\Core\Fingering\HandWork;
use Nasturtium\Core\Fingering\Position;
use Nasturtium\Core\Fingering\Positions;
use Nasturtium\Core\Path\Stage;
use Nasturtium\Core\Path\Stages;
use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Pattern\HandsTogether;
use Nasturtium\Core\Pattern\LearningOrder;
use Nasturtium\Core\Pattern\LineLetters;
use Nasturtium\Core\Pattern\StickingPoint;
use Nasturtium\Core\Pattern\StickingPoints;
use Nasturtium\Core\Reading\Inventory;
use Nasturtium\Core\Reading\InventoryNote;
use Nasturtium\Core\Reading\Trap;
use Nasturtium\Core\Reading\Traps;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\PageChecks;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Transposition;

/** Everything the core can say of a page. */
final readonly class Breakdown
{
    /**
     * @param  list<Check>  $checks
     * @param  list<int>  $playOrder  indices of measures
     * @param  array<string, HandFingers>  $fingers  by hand
     * @param  list<Position>  $positions
     * @param  array{R: HandWork, L: HandWork}  $work  by hand
     * @param  list<InventoryNote>  $notes
     * @param  list<Trap>  $traps
     * @param  list<string>  $letters  of the lines
     * @param  list<HandsTogether>  $hands  by measure
     * @param  list<Chunk>  $chunks
     * @param  list<StickingPoint>  $sticking
     * @param  list<Stage>  $stages
     */
    private function __construct(
        public Piece $piece,
        public Settings $settings,
        public array $checks,
        public array $playOrder,
        public CountIn $countIn,
        public Counts $counts,
        public array $fingers,
        public array $positions,
        public array $work,
        public array $notes,
        public array $traps,
        public array $letters,
        public array $hands,
        public array $chunks,
        public array $sticking,
        public LearningOrder $learn,
        public array $stages,
    ) {}

    /** @param list<Check> $notRead what the reader of the file left out */
    public static function of(Piece $piece, Settings $settings, array $notRead = []): self
    {
        // In a duet the student may play an octave from where it is written: the same fingers on other keys.
        $played = $settings->octave === 0 ? $piece : Transposition::byOctaves($piece, $settings->octave);
        $right = FingerSearch::for($played, Hand::Right, $settings->fingers, $settings->handSize());
        $left = FingerSearch::for($played, Hand::Left, $settings->fingers, $settings->handSize());
        $pickup = $piece->pickup();
        $work = ['R' => new HandWork($played, Hand::Right, $right), 'L' => new HandWork($played, Hand::Left, $left)];
        $chunks = new Chunks($piece);
        $sticking = StickingPoints::of($piece, $work, $chunks->hands(), $settings->isForNobody ? null : $settings->known, $settings->verdicts);
        $notes = Inventory::of($piece, $settings->school, $settings->landmarks, $settings->known, $settings->phrases, $settings->octave);

        return new self(
            $piece,
            $settings,
            [...$notRead, ...PageChecks::of($piece), ...$right->checks, ...$left->checks],
            PlayOrder::of($piece),
            CountIn::for($piece->measures[0]->meter, $pickup === null ? Fraction::zero() : $pickup->length, $settings->counting),
            Counts::of($piece, $settings->counting),
            ['R' => $right, 'L' => $left],
            [
                ...Positions::of($played, $right, Hand::Right, $piece->plays(Hand::Left) ? $left : null),
                ...Positions::of($played, $left, Hand::Left, $piece->plays(Hand::Right) ? $right : null),
            ],
            $work,
            $notes,
            Traps::of($piece),
            LineLetters::of($piece),
            $chunks->hands(),
            $chunks->all(),
            $sticking,
            LearningOrder::of($piece, $sticking),
            Stages::of($piece, $settings->path, $chunks),
        );
    }
}
