<?php

declare(strict_types=1);

namespace App\Drill;

use OpenApi\Attributes as OA;

/** A card and the one that it is confused with. */
#[OA\Schema]
final readonly class PairResource
{
    public function __construct(
        #[OA\Property]
        public string $card,
        #[OA\Property]
        public string $other,
    ) {}
}
