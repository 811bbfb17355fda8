<?php

declare(strict_types=1);

namespace App\Drill;

use OpenApi\Attributes as OA;

/** An answer to a card. */
#[OA\Schema]
final readonly class AnswerResource
{
    public function __construct(
        #[OA\Property]
        public bool $right,
        #[OA\Property]
        public int $milliseconds,
    ) {}
}
