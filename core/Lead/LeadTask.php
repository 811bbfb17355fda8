<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** A task of a day, as it is led through. */
final readonly class LeadTask
{
    /**
     * @param  ?Piece  $piece  null where its music is not typed, or it has none
     * @param  list<array{int, int}>  $ranges  indices of first and last measures
     * @param  ?int  $tempo  beats a minute
     * @param  int  $halfMinutes  that the plan has for it on this day
     */
    public function __construct(
        public int $id,
        public string $title,
        public string $instruction,
        public TaskSign $sign,
        public ?Piece $piece,
        public array $ranges,
        public ?Hand $hand,
        public ?int $tempo,
        public int $halfMinutes,
    ) {}

    public function seconds(): int
    {
        return 30 * $this->halfMinutes;
    }
}
