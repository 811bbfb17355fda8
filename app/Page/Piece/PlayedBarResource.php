<?php

declare(strict_types=1);

namespace App\Page\Piece;

use OpenApi\Attributes as OA;

/** When a bar begins, in beats from the first note; `index` counts the bars of the page from 0. */
#[OA\Schema]
final readonly class PlayedBarResource
{
    public function __construct(
        #[OA\Property]
        public int $index,
        #[OA\Property]
        public float $at,
    ) {}
}
