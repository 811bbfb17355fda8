<?php

declare(strict_types=1);

namespace App\Student\Learning\Stuck;

use App\Api\ListOf;
use Nasturtium\Core\Practice\Relief;
use OpenApi\Attributes as OA;

/** A stage that was heard at three lessons without a pass, and what can be done. */
#[OA\Schema]
final readonly class StuckResource
{
    /** @param list<ReliefResource> $reliefs */
    public function __construct(
        #[OA\Property]
        public int $stageId,
        #[OA\Property]
        public string $piece,
        #[OA\Property]
        public string $stage,
        #[OA\Property]
        public int $lessons,
        #[ListOf(ReliefResource::class)]
        public array $reliefs,
    ) {}

    /** @param object{stage_id: int, title: string, stage: string, misses: int} $row of StuckStages */
    public static function of(object $row): self
    {
        return new self($row->stage_id, $row->title, $row->stage, $row->misses, array_map(ReliefResource::of(...), Relief::cases()));
    }
}
