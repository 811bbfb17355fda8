<?php

declare(strict_types=1);

namespace App\Page\Photo;

use OpenApi\Attributes as OA;

/** A piece of a picture as shorthand, ready to be looked through where pieces are typed. */
#[OA\Schema]
final readonly class FinishedResource
{
    /**
     * @param string $label A, B, C where the page has several
     * @param bool   $more  other pieces of the picture are left
     */
    public function __construct(
        #[OA\Property]
        public string $shorthand,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public bool $more,
    ) {}
}
