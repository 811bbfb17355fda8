<?php

declare(strict_types=1);

namespace App\Lead;

use App\Page\Piece\PlaybackResource;
use OpenApi\Attributes as OA;

/** Bars of a led run, and how they sound. */
#[OA\Schema]
final readonly class LeadPhraseResource
{
    public function __construct(
        #[OA\Property]
        public int $pieceId,
        #[OA\Property(description: 'index of a measure')]
        public int $first,
        #[OA\Property(description: 'index of a measure')]
        public int $last,
        #[OA\Property]
        public PlaybackResource $playback,
    ) {}
}
