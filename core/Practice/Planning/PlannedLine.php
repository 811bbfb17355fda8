<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** A line of a plan as the family reads it. */
final readonly class PlannedLine
{
    /**
     * @param  int  $id  of the task, which stays when the rest of it changes
     * @param  string  $name  of the task and its piece
     * @param  string  $instruction  what is to be done
     * @param  list<string>  $dates  by day
     */
    public function __construct(public int $id, public string $name, public string $instruction, public array $dates) {}

    /** `Mon 5, Wed 7`: a plan may be longer than a week. */
    public function days(): string
    {
        return implode(', ', array_map(static fn (string $date): string => (new \DateTimeImmutable($date))->format('D j'), $this->dates));
    }
}
