<?php

declare(strict_types=1);

namespace App\Account\SecondStep;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** Codes for the day the phone is lost; shown once. */
#[OA\Schema]
final readonly class RecoveryCodesResource
{
    /** @param list<string> $codes */
    public function __construct(
        #[ListOf('string')]
        public array $codes,
    ) {}
}
