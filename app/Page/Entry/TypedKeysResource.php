<?php

declare(strict_types=1);

namespace App\Page\Entry;

use OpenApi\Attributes as OA;

/** The token that means the keys that were struck. */
#[OA\Schema]
final readonly class TypedKeysResource
{
    public function __construct(
        #[OA\Property]
        public string $token,
    ) {}
}
