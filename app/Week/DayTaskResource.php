<?php

declare(strict_types=1);

namespace App\Week;

use OpenApi\Attributes as OA;

/** A task on one day: what it takes then, and what filling added. */
#[OA\Schema]
final readonly class DayTaskResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: '0 where filling has put it there')]
        public float $minutes,
        #[OA\Property]
        public float $more,
    ) {}
}
