<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Actions\StuckStages;
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

    /** @return list<self> of a student's current pieces */
    public static function of(int $studentId): array
    {
        $rows = StuckStages::query()->join('pieces', 'pieces.id', '=', 'learnings.piece_id')->where('learnings.student_id', $studentId)
            ->groupBy('pieces.title')->addSelect('pieces.title')->orderBy('stages.id')->get();

        return array_values($rows->map(static fn (\stdClass $row): self => new self($row->stage_id, $row->title, $row->stage, $row->misses, array_map(ReliefResource::of(...), Relief::cases())))->all());
    }
}
