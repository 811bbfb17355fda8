<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Api\ListOf;
use App\Student\Learning\BarsResource;
use App\Week\PracticeResource;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A task as it is heard at the lesson: what was set, what home reported, and what the teacher says. */
#[OA\Schema]
final readonly class HeardTaskResource
{
    /**
     * @param  list<BarsResource>  $bars
     * @param  int  $days  it was set on
     * @param  list<PracticeResource>  $practices  by day
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public TaskKind $kind,
        #[OA\Property]
        public ?int $stageId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $instruction,
        #[OA\Property]
        public ?int $pieceId,
        #[OA\Property]
        public ?string $piece,
        #[OA\Property]
        public ?int $learningId,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public ?int $tempo,
        #[OA\Property]
        public ?LessonVerdict $mark,
        #[OA\Property]
        public ?int $tempoReached,
        #[OA\Property]
        public string $heardNote,
        #[ListOf(BarsResource::class)]
        public array $bars,
        #[OA\Property]
        public int $days,
        #[ListOf(PracticeResource::class)]
        public array $practices,
    ) {}
}
