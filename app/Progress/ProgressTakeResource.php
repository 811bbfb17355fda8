<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** What was heard of a piece on a day. */
#[OA\Schema]
final readonly class ProgressTakeResource
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public int $takes,
        #[OA\Property]
        public int $clean,
        #[OA\Property(description: 'quarters a minute, the middle one')]
        public ?int $tempo,
        #[OA\Property(description: 'percent of the beats that were steady, the middle one')]
        public ?int $steady,
    ) {}
}
