<?php

declare(strict_types=1);

namespace App\Lead;

use OpenApi\Attributes as OA;

/** What the teacher says in a step. */
#[OA\Schema]
final readonly class VoiceResource
{
    public function __construct(
        #[OA\Property(description: 'as a data address; null where she said nothing')]
        public ?string $voice,
    ) {}
}
