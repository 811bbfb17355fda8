<?php

declare(strict_types=1);

namespace App\Week;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A day of a week: the minutes there are, and the tasks in the order they are done. */
#[OA\Schema]
final readonly class WeekDayResource
{
    /**
     * @param  list<int>  $taskIds
     * @param  list<DayTaskResource>  $each  of them, in the same order
     */
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public float $planned,
        #[OA\Property]
        public float $practised,
        #[ListOf('integer')]
        public array $taskIds,
        #[ListOf(DayTaskResource::class)]
        public array $each,
    ) {}
}
