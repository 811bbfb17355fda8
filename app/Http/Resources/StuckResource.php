<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Api\ListOf;
use App\Models\Learning;
use App\Models\Stage;
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
        $stuck = [];
        $learnings = Learning::query()->where('student_id', $studentId)->where('state', 'current')
            ->with(['piece', 'stages' => static fn ($stages) => $stages->whereNull('passed_on')->withCount('misses')])->get();
        foreach ($learnings as $learning) {
            foreach ($learning->stages->filter(static fn (Stage $stage): bool => $stage->misses_count >= Relief::STUCK) as $stage) {
                $stuck[] = new self($stage->id, $learning->piece->title, $stage->title(), $stage->misses_count, array_map(ReliefResource::of(...), Relief::cases()));
            }
        }

        return $stuck;
    }
}
