<?php

declare(strict_types=1);

namespace App\Account\Members;

use OpenApi\Attributes as OA;

/** A studio that somebody belongs to. */
#[OA\Schema]
final readonly class PlaceResource
{
    /** @param bool $isDemo made to look around in */
    public function __construct(
        #[OA\Property]
        public int $studioId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public Role $role,
        #[OA\Property]
        public bool $isDemo,
    ) {}
}
