<?php

declare(strict_types=1);

namespace App\Drill;

use OpenApi\Attributes as OA;

/** Something to choose on a card. */
#[OA\Schema]
final readonly class OptionResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $label,
    ) {}
}
