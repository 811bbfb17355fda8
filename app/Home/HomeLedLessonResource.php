<?php

declare(strict_types=1);

namespace App\Home;

use OpenApi\Attributes as OA;

/** A make-up lesson that was sent and is not done yet. */
#[OA\Schema]
final readonly class HomeLedLessonResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $title,
    ) {}
}
