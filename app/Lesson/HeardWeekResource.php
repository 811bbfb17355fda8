<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** The week that a lesson hears. */
#[OA\Schema]
final readonly class HeardWeekResource
{
    /** @param list<HeardTaskResource> $tasks */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[ListOf(HeardTaskResource::class)]
        public array $tasks,
    ) {}
}
