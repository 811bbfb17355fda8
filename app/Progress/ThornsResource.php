<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** Whether thorns point at what goes wrong: slips and bars heard, at thorns and elsewhere. */
#[OA\Schema]
final readonly class ThornsResource
{
    /** @param ?float $ratio how many times as often as elsewhere; null while too little was heard */
    public function __construct(
        #[OA\Property]
        public int $slipsOn,
        #[OA\Property]
        public int $barsOn,
        #[OA\Property]
        public int $slipsElsewhere,
        #[OA\Property]
        public int $barsElsewhere,
        #[OA\Property]
        public ?float $ratio,
        #[OA\Property]
        public string $words,
    ) {}
}
