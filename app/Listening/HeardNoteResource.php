<?php

declare(strict_types=1);

namespace App\Listening;

use Nasturtium\Core\Performance\Hearing\HeardStatus;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A note that was another key, or missed. */
#[OA\Schema]
final readonly class HeardNoteResource
{
    public function __construct(
        #[OA\Property(description: 'of its event')]
        public string $id,
        #[OA\Property]
        public Hand $hand,
        #[OA\Property]
        public HeardStatus $status,
    ) {}
}
