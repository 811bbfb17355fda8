<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\OwnFinger;
use OpenApi\Attributes as OA;

/** A finger that the teacher has set for one note. */
#[OA\Schema]
final readonly class OwnFingerResource
{
    public function __construct(
        #[OA\Property(enum: ['R', 'L'])]
        public string $hand,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $pitch,
        #[OA\Property]
        public int $finger,
    ) {}

    public static function of(OwnFinger $own): self
    {
        return new self($own->hand, $own->place, $own->pitch, $own->finger);
    }
}
