<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** How fast a book goes, and when it will end. */
#[OA\Schema]
final readonly class PaceResource
{
    public function __construct(
        #[OA\Property]
        public string $book,
        #[OA\Property]
        public int $left,
        #[OA\Property]
        public string $perWeek,
        #[OA\Property]
        public ?string $from,
        #[OA\Property]
        public ?string $to,
    ) {}
}
