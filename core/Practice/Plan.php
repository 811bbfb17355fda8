<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** Which task on which day, and what found no room. */
final readonly class Plan
{
    /**
     * @param  array<string, list<string>>  $days  task ids in the order they are done, by date
     * @param  array<string, string>  $left  the reason, by task id
     */
    public function __construct(public array $days, public array $left) {}
}
