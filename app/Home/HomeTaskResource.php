<?php

declare(strict_types=1);

namespace App\Home;

use App\Api\ListOf;
use App\Student\Learning\BarsResource;
use App\Week\PracticeResource;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A task of the week, as the child sees it. */
#[OA\Schema]
final readonly class HomeTaskResource
{
    /**
     * @param  list<BarsResource>  $bars
     * @param  list<PracticeResource>  $practices
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public TaskKind $kind,
        #[OA\Property]
        public TaskSign $sign,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $instruction,
        #[OA\Property]
        public ?string $piece,
        #[OA\Property]
        public string $page,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public int $repetitions,
        #[OA\Property]
        public ?int $tempo,
        #[OA\Property]
        public float $minutes,
        #[ListOf(BarsResource::class)]
        public array $bars,
        #[OA\Property(description: 'its bars are played, and can be listened to')]
        public bool $isPlayed,
        #[OA\Property(description: 'it is done in the practice room, or begun there')]
        public bool $inRoom,
        #[ListOf(PracticeResource::class)]
        public array $practices,
    ) {}
}
