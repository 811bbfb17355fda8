<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

/** A device that is signed in. */
#[OA\Schema]
final readonly class OpenSessionResource
{
    public function __construct(
        #[OA\Property]
        public string $token,
        #[OA\Property]
        public string $device,
        #[OA\Property]
        public string $usedAt,
        #[OA\Property]
        public bool $isThis,
    ) {}
}
