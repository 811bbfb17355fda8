<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Hand;

/** A slip at its place in a piece. */
final readonly class HeardSlip
{
    /**
     * @param  int  $first  index of its measure
     * @param  int  $last  index of the last measure, of a slip over several
     * @param  ?int  $from  beat it begins with, counted from the start of a full measure: 0 is beat one; null for whole bars
     * @param  ?int  $to  beat it ends with, included
     * @param  ?int  $tempo  beats a minute of the task it happened in
     */
    public function __construct(
        public Slip $kind,
        public int $first,
        public int $last,
        public ?int $from = null,
        public ?int $to = null,
        public ?Hand $hand = null,
        public ?int $tempo = null,
    ) {}

    /** The same thing at the same place. */
    public function repeats(self $other): bool
    {
        return $this->kind === $other->kind && $this->hand === $other->hand && $this->first <= $other->last && $other->first <= $this->last;
    }
}
