<?php

declare(strict_types=1);

namespace App\Page\Photo;

use OpenApi\Attributes as OA;

/** A photo that is kept with its page. */
#[OA\Schema]
final readonly class KeptPhotoResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
    ) {}
}
