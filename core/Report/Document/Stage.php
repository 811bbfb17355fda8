<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\Stage as StageOfPage;
use Nasturtium\Core\Score\Hand;

/** A stage of the page on its path. */
final readonly class Stage implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $name  of the stage
     * @param  ?Petal  $petal  that it opens; null for none
     * @param  ?Hand  $hand  null for both
     * @param  list<Chunk>  $chunks  it is done on
     * @param  string  $do  what the student does, in one sentence
     * @param  string  $pass  when it is passed
     * @param  int|float  $minutes  what it takes on its first day
     * @param  int|float  $minutesLater  what it takes on a day on which it goes on
     * @param  int  $repetitions  of each chunk
     * @param  ?int  $tempo  beats a minute; null where none is kept
     * @param  list<int>  $waitsFor  places in the list of stages, from 0
     */
    public function __construct(
        public string $name,
        public ?Petal $petal,
        public ?Hand $hand,
        public array $chunks,
        public string $do,
        public string $pass,
        public int|float $minutes,
        public int|float $minutesLater,
        public int $repetitions,
        public ?int $tempo,
        public array $waitsFor,
    ) {}

    /**
     * @param  string  $do  its sentence, in the words of the studio
     * @param  list<Chunk>  $chunks
     */
    public static function of(StageOfPage $stage, string $do, array $chunks): self
    {
        return new self(
            $stage->step->name,
            $stage->step->petal,
            $stage->step->hand,
            $chunks,
            $do,
            $stage->step->passMark,
            $stage->times->first / 2,
            $stage->times->later / 2,
            $stage->repetitions,
            $stage->tempo,
            $stage->waitsFor,
        );
    }
}
