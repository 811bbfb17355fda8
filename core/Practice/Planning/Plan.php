<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** Which task on which day, what filling added, and what has no day. */
final readonly class Plan
{
    /**
     * @param  array<string, list<string>>  $days  task ids in the order they are done, by date
     * @param  array<string, string>  $left  the reason, by task id
     * @param  list<string>  $next  ids of what is for another week: it lies further on
     * @param  list<Extra>  $extra
     * @param  array<string, array<array-key, int>>  $minutes  half minutes by task id, by date, without what filling added
     * @param  int  $eighths  what it is worth, in eighths of value
     */
    public function __construct(public array $days, public array $left, public array $next, public array $extra, public int $eighths, public array $minutes) {}

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
