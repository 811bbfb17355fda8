<?php

declare(strict_types=1);

namespace App\Drill;

use OpenApi\Attributes as OA;

/** When a card is secure, and when a new one joins. */
#[OA\Schema]
final readonly class EnoughResource
{
    public function __construct(
        #[OA\Property]
        public int $answers,
        #[OA\Property(description: 'of a hundred')]
        public int $right,
        #[OA\Property(description: 'milliseconds')]
        public int $within,
        #[OA\Property(description: 'in a row, on each card')]
        public int $join,
    ) {}
}
