<?php

declare(strict_types=1);

namespace App\Page;

use OpenApi\Attributes as OA;

/** A piece as it stands in a book. */
#[OA\Schema]
final readonly class PieceListResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $measures,
    ) {}
}
