<?php

declare(strict_types=1);

namespace App\Progress;

use Nasturtium\Core\Practice\Slip;
use OpenApi\Attributes as OA;

/** Slips of one kind: lately, and before that. */
#[OA\Schema]
final readonly class ProgressSlipResource
{
    public function __construct(
        #[OA\Property]
        public Slip $kind,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public int $recent,
        #[OA\Property]
        public int $before,
    ) {}
}
