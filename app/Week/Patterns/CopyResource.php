<?php

declare(strict_types=1);

namespace App\Week\Patterns;

use OpenApi\Attributes as OA;

/** What came of giving tasks to another student. */
#[OA\Schema]
final readonly class CopyResource
{
    public function __construct(
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $outcome,
    ) {}
}
