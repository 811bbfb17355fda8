<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

/** A bar through the next bar's first beat, scored from visible reasons. */
final readonly class StickingPoint
{
    /**
     * @param  int  $index  of the bar
     * @param  list<Reason>  $reasons  the heaviest first
     * @param  int  $score  their sum; 0 when the teacher says it is easy
     * @param  Verdict|null  $teacher  what she says of it; null when nothing
     */
    public function __construct(public int $index, public array $reasons, public int $score, public ?Verdict $teacher) {}
}
