<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** A place where it went wrong more than once. */
#[OA\Schema]
final readonly class ProgressPlaceResource
{
    public function __construct(
        #[OA\Property]
        public string $piece,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public int $times,
    ) {}
}
