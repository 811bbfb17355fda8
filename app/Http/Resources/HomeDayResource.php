<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** Today at home: the tasks in their order, and the leaf. */
#[OA\Schema]
final readonly class HomeDayResource
{
    /**
     * @param  list<HomeTaskResource>  $tasks
     * @param  list<WeekDayResource>  $leaf
     */
    public function __construct(
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public ?string $lessonOn,
        #[OA\Property]
        public string $message,
        #[ListOf(HomeTaskResource::class)]
        public array $tasks,
        #[ListOf(WeekDayResource::class)]
        public array $leaf,
    ) {}
}
