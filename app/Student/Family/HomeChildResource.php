<?php

declare(strict_types=1);

namespace App\Student\Family;

use OpenApi\Attributes as OA;

/** A child that a family link opens for. */
#[OA\Schema]
final readonly class HomeChildResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
    ) {}
}
