<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Pattern\Reason as ReasonFound;
use Nasturtium\Core\Pattern\StickingPoint;
use Nasturtium\Core\Pattern\Verdict;
use Nasturtium\Core\Pattern\WhatHelps;
use Nasturtium\Core\Score\Piece;

/** How hard a bar is, through the next bar's first beat. */
final readonly class Sticking implements \JsonSerializable
{
    use Fields;

    /**
     * @param  int  $measure  its number
     * @param  int  $score  the sum of its reasons; 0 when the teacher says it is easy
     * @param  bool  $thorn  it deserves a warning
     * @param  ?Verdict  $teacher  what she says of it; null when nothing
     * @param  list<Reason>  $reasons  the heaviest first
     * @param  ?string  $do  what helps, for the heaviest reason; null where there is none
     * @param  list<int>  $serves  for a thorn: the other bars that are equal, by number
     */
    public function __construct(
        public int $measure,
        public int $score,
        public bool $thorn,
        public ?Verdict $teacher,
        public array $reasons,
        public ?string $do,
        public array $serves,
    ) {}

    /**
     * @param  \Closure(string): string  $said  in the words of the studio
     * @param  list<int>  $serves
     */
    public static function of(Piece $piece, StickingPoint $point, \Closure $said, bool $thorn, array $serves): self
    {
        $helps = WhatHelps::with($point, $piece);

        return new self(
            $piece->measures[$point->index]->number,
            $point->score,
            $thorn,
            $point->teacher,
            array_map(static fn (ReasonFound $reason): Reason => Reason::of($reason, $said($reason->text)), $point->reasons),
            $helps === null ? null : $said($helps),
            $serves,
        );
    }
}
