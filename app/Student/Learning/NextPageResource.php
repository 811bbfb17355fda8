<?php

declare(strict_types=1);

namespace App\Student\Learning;

use OpenApi\Attributes as OA;

/** What comes next in a book that the student is in. */
#[OA\Schema]
final readonly class NextPageResource
{
    /** @param ?int $pieceId null where no music is typed on the page */
    public function __construct(
        #[OA\Property]
        public ?int $pieceId,
        #[OA\Property]
        public int $pageId,
        #[OA\Property]
        public int $bookId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $page,
    ) {}
}
