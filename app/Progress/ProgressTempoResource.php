<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** The tempo of a piece on a day, at home or at the lesson. */
#[OA\Schema]
final readonly class ProgressTempoResource
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public int $tempo,
        #[OA\Property]
        public bool $atLesson,
    ) {}
}
