<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** A day of practice and the time there is on it. */
final readonly class PlanDay
{
    /** @param string $date as 2031-05-06 */
    public function __construct(public string $date, public int $halfMinutes) {}
}
