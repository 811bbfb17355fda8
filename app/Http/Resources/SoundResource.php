<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A note or chord to sound: `at` and `beats` in beats, keys as MIDI numbers. */
#[OA\Schema]
final readonly class SoundResource
{
    /**
     * @param  list<int>  $keys
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['R', 'L'])]
        public string $hand,
        #[OA\Property]
        public float $at,
        #[OA\Property]
        public float $beats,
        #[ListOf('integer')]
        public array $keys,
    ) {}
}
