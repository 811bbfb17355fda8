<?php

declare(strict_types=1);

namespace App\Student\Learning;

use OpenApi\Attributes as OA;

/** The piece that comes next in a book of the student's, or the first of another book. */
#[OA\Schema]
final readonly class NextPageResource
{
    public function __construct(
        #[OA\Property]
        public int $pieceId,
        #[OA\Property]
        public int $pageId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $page,
        #[OA\Property]
        public bool $otherBook,
    ) {}
}
