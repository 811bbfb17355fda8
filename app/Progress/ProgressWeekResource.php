<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** A week: what was planned, practised and known at its end, and what the teacher changed in the plan. */
#[OA\Schema]
final readonly class ProgressWeekResource
{
    public function __construct(
        #[OA\Property]
        public string $startsOn,
        #[OA\Property]
        public float $planned,
        #[OA\Property]
        public float $practised,
        #[OA\Property]
        public int $daysPlanned,
        #[OA\Property]
        public int $daysPractised,
        #[OA\Property]
        public int $secure,
        #[OA\Property]
        public int $shaky,
        #[OA\Property]
        public int $proposed,
        #[OA\Property]
        public int $added,
        #[OA\Property]
        public int $removed,
        #[OA\Property]
        public int $kept,
    ) {}
}
