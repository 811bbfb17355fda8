<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Nasturtium\Core\Path\Petal;
use OpenApi\Attributes as OA;

/** A petal of a page: how many of its stages have passed. None at all means the page has no such stage. */
#[OA\Schema]
final readonly class PetalResource
{
    public function __construct(
        #[OA\Property]
        public Petal $name,
        #[OA\Property]
        public int $passed,
        #[OA\Property]
        public int $stages,
    ) {}
}
