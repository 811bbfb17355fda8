<?php

declare(strict_types=1);

namespace App\Drill;

use OpenApi\Attributes as OA;

/** A week of answers about notes. */
#[OA\Schema]
final readonly class TrainedWeekResource
{
    public function __construct(
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public int $answers,
        #[OA\Property]
        public int $right,
        #[OA\Property(description: 'milliseconds of the right ones; null without one')]
        public ?int $median,
    ) {}
}
