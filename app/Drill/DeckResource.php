<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\ListOf;
use Nasturtium\Core\Drill\DrillKind;
use OpenApi\Attributes as OA;

/** The cards of one kind, and its sessions. */
#[OA\Schema]
final readonly class DeckResource
{
    /**
     * @param  list<CardResource>  $cards
     * @param  list<DrillSessionResource>  $sessions  one a day
     */
    public function __construct(
        #[OA\Property(description: 'the drill of the week that it is for; null for the room')]
        public ?int $taskId,
        #[OA\Property(description: 'title of the page whose notes it has; null for the room')]
        public ?string $page,
        #[OA\Property]
        public DrillKind $kind,
        #[OA\Property]
        public string $words,
        #[ListOf(CardResource::class)]
        public array $cards,
        #[ListOf(DrillSessionResource::class)]
        public array $sessions,
    ) {}
}
