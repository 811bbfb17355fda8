<?php

declare(strict_types=1);

namespace App\Drill;

use Nasturtium\Core\Score\Clef;
use OpenApi\Attributes as OA;

/** A note that was taken for another. */
#[OA\Schema]
final readonly class ConfusedResource
{
    public function __construct(
        #[OA\Property]
        public Clef $clef,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public int $times,
    ) {}
}
