<?php

declare(strict_types=1);

namespace App\Progress;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** The tempo of a piece over the weeks. */
#[OA\Schema]
final readonly class ProgressTemposResource
{
    /** @param list<ProgressTempoResource> $points in order */
    public function __construct(
        #[OA\Property]
        public string $piece,
        #[ListOf(ProgressTempoResource::class)]
        public array $points,
    ) {}
}
