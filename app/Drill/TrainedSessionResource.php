<?php

declare(strict_types=1);

namespace App\Drill;

use Nasturtium\Core\Drill\DrillKind;
use OpenApi\Attributes as OA;

/** A session that was done. */
#[OA\Schema]
final readonly class TrainedSessionResource
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public DrillKind $kind,
        #[OA\Property]
        public int $answers,
        #[OA\Property]
        public int $right,
    ) {}
}
