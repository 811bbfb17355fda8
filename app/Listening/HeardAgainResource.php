<?php

declare(strict_types=1);

namespace App\Listening;

use OpenApi\Attributes as OA;

/** A place at which the microphone is not sure; it is listened to again, or was right. */
#[OA\Schema]
final readonly class HeardAgainResource
{
    public function __construct(
        #[OA\Property(description: 'of its event')]
        public string $id,
        #[OA\Property(description: 'as printed')]
        public int $bar,
        #[OA\Property(description: 'seconds of the take')]
        public ?float $at,
    ) {}
}
