<?php

declare(strict_types=1);

namespace App\Page\Entry;

use Nasturtium\Core\Formats\ScorePart;
use OpenApi\Attributes as OA;

/** A part of a file: who plays it, on how many staves, and how many notes. */
#[OA\Schema]
final readonly class PartResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $staves,
        #[OA\Property]
        public int $notes,
    ) {}

    public static function of(ScorePart $part): self
    {
        return new self($part->id, $part->name, $part->staves, $part->notes);
    }
}
