<?php

declare(strict_types=1);

namespace App\Drill;

use OpenApi\Attributes as OA;

/** A key that sounds, in milliseconds. */
#[OA\Schema]
final readonly class HeardResource
{
    public function __construct(
        #[OA\Property]
        public int $key,
        #[OA\Property]
        public int $at,
        #[OA\Property]
        public int $lasts,
    ) {}
}
