<?php

declare(strict_types=1);

namespace App\Student\Learning;

use OpenApi\Attributes as OA;

/** A piece that a student has opened, signed off or not. */
#[OA\Schema]
final readonly class OpenedPieceResource
{
    /** @param int $id of the learning */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $pieceId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public bool $signedOff,
        #[OA\Property(description: 'it is played, not written or listened to')]
        public bool $isPlayed,
    ) {}
}
