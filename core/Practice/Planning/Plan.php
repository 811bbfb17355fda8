<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** Which task on which day, and what found no room. */
final readonly class Plan
{
    /**
     * @param  array<string, list<string>>  $days  task ids in the order they are done, by date
     * @param  array<string, string>  $left  the reason, by task id
     * @param  int  $quarters  what it is worth, in quarters of value
     */
    public function __construct(public array $days, public array $left, public int $quarters) {}

    /** @return array<string, list<string>> dates by task id, of the tasks that have any */
    public function dates(): array
    {
        $dates = [];
        foreach ($this->days as $date => $ids) {
            foreach ($ids as $id) {
                $dates[$id][] = $date;
            }
        }

        return $dates;
    }
}
