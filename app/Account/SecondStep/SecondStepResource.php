<?php

declare(strict_types=1);

namespace App\Account\SecondStep;

use OpenApi\Attributes as OA;

/** What an authenticator app is given, once. */
#[OA\Schema]
final readonly class SecondStepResource
{
    public function __construct(
        #[OA\Property]
        public string $secret,
        #[OA\Property]
        public string $address,
    ) {}
}
