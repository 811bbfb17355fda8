<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** What the practice room of a student needs for a week. */
#[OA\Schema]
final readonly class RoomResource
{
    /**
     * @param  list<DeckResource>  $decks
     * @param  list<SightLineResource>  $lines  one a day
     */
    public function __construct(
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property(description: 'of the first session')]
        public string $date,
        #[OA\Property]
        public int $minutes,
        #[OA\Property(description: 'most keys found in a race')]
        public int $best,
        #[ListOf(DeckResource::class)]
        public array $decks,
        #[ListOf(SightLineResource::class)]
        public array $lines,
    ) {}
}
