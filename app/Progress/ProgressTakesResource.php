<?php

declare(strict_types=1);

namespace App\Progress;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** What was heard of a piece, day by day. */
#[OA\Schema]
final readonly class ProgressTakesResource
{
    /** @param list<ProgressTakeResource> $days in order */
    public function __construct(
        #[OA\Property]
        public string $piece,
        #[ListOf(ProgressTakeResource::class)]
        public array $days,
    ) {}
}
