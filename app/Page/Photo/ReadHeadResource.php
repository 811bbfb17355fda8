<?php

declare(strict_types=1);

namespace App\Page\Photo;

use OpenApi\Attributes as OA;

/** The head of a note that was read of a picture. */
#[OA\Schema]
final readonly class ReadHeadResource
{
    /**
     * @param string $name as C4
     * @param bool   $tied to the next note
     */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?int $finger,
        #[OA\Property]
        public bool $tied,
    ) {}
}
