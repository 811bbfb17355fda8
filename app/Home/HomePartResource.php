<?php

declare(strict_types=1);

namespace App\Home;

use App\Page\Piece\PlaybackResource;
use App\Student\Learning\BarsResource;
use OpenApi\Attributes as OA;

/** Bars of a task with how they sound. */
#[OA\Schema]
final readonly class HomePartResource
{
    public function __construct(
        #[OA\Property]
        public BarsResource $bars,
        #[OA\Property]
        public PlaybackResource $playback,
    ) {}
}
