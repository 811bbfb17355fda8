<?php

declare(strict_types=1);

namespace App\Lead;

use OpenApi\Attributes as OA;

/** A piece of a led run, as MusicXML. */
#[OA\Schema]
final readonly class LeadPieceResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $music,
    ) {}
}
