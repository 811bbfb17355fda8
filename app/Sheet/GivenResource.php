<?php

declare(strict_types=1);

namespace App\Sheet;

use OpenApi\Attributes as OA;

/** Who has a worksheet, and how many were right. */
#[OA\Schema]
final readonly class GivenResource
{
    public function __construct(
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $givenOn,
        #[OA\Property(description: 'null until it is marked')]
        public ?int $right,
    ) {}
}
