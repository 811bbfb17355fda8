<?php

declare(strict_types=1);

namespace App\Student;

use OpenApi\Attributes as OA;

/** The minutes a student has on a weekday, 1 for Monday to 7. */
#[OA\Schema]
final readonly class PracticeDayResource
{
    public function __construct(
        #[OA\Property]
        public int $weekday,
        #[OA\Property]
        public int $minutes,
    ) {}
}
