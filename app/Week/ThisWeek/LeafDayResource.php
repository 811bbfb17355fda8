<?php

declare(strict_types=1);

namespace App\Week\ThisWeek;

use OpenApi\Attributes as OA;

/** A day of a leaf: the minutes there are, planned and practised. */
#[OA\Schema]
final readonly class LeafDayResource
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public float $planned,
        #[OA\Property]
        public float $practised,
    ) {}
}
