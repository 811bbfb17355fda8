<?php

declare(strict_types=1);

namespace App\Week\Patterns;

use Nasturtium\Core\Practice\TaskKind;
use OpenApi\Attributes as OA;

/** A task of a pattern. */
#[OA\Schema]
final readonly class PatternTaskResource
{
    public function __construct(
        #[OA\Property]
        public TaskKind $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $instruction,
        #[OA\Property]
        public int $halfMinutes,
        #[OA\Property]
        public int $repetitions,
        #[OA\Property]
        public int $mostDays,
    ) {}
}
