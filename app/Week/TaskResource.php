<?php

declare(strict_types=1);

namespace App\Week;

use App\Api\ListOf;
use App\Http\English;
use App\Student\Learning\BarsResource;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A task of a week, with its days and what home reported. */
#[OA\Schema]
final readonly class TaskResource
{
    /**
     * @param  list<BarsResource>  $bars
     * @param  list<string>  $dates  that are planned
     * @param  list<string>  $filled  dates that filling added
     * @param  list<string>  $locked  of the dates, those the teacher has set
     * @param  list<string>  $off  dates the teacher has taken it off
     * @param  list<PracticeResource>  $practices
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public TaskKind $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $instruction,
        #[OA\Property]
        public string $why,
        #[OA\Property]
        public ?int $pieceId,
        #[OA\Property]
        public ?string $piece,
        #[OA\Property]
        public ?int $learningId,
        #[OA\Property]
        public ?int $stageId,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public int $repetitions,
        #[OA\Property]
        public ?int $tempo,
        #[OA\Property]
        public float $minutes,
        #[OA\Property(description: 'on its first day')]
        public float $minutesFirst,
        #[OA\Property]
        public bool $isNew,
        #[OA\Property]
        public bool $starred,
        #[OA\Property]
        public int $mostDays,
        #[OA\Property]
        public ?string $leftWhy,
        #[OA\Property(description: 'it lies further on, and is not left out')]
        public bool $later,
        #[OA\Property]
        public ?LessonVerdict $mark,
        #[OA\Property]
        public ?int $tempoReached,
        #[OA\Property]
        public string $heardNote,
        #[ListOf(BarsResource::class)]
        public array $bars,
        #[ListOf('string')]
        public array $dates,
        #[ListOf('string')]
        public array $filled,
        #[ListOf('string')]
        public array $locked,
        #[ListOf('string')]
        public array $off,
        #[ListOf(PracticeResource::class)]
        public array $practices,
    ) {}

    public static function of(Task $task): self
    {
        return new self(
            $task->id,
            $task->kind,
            $task->title,
            $task->instruction(),
            English::text($task->why),
            $task->learning?->piece_id,
            $task->learning?->piece->title,
            $task->learning_id,
            $task->stage_id,
            $task->hand,
            $task->repetitions,
            $task->tempo,
            $task->half_minutes / 2,
            ($task->half_minutes_first ?? $task->half_minutes) / 2,
            $task->is_new,
            $task->starred,
            $task->most_days,
            $task->left_why,
            $task->left_why === WeekPlanner::NEXT,
            $task->mark,
            $task->tempo_reached,
            $task->heard_note ?? '',
            array_values($task->bars->sortBy('position')->map(BarsResource::of(...))->all()),
            WeekDays::dates($task->days->reject(static fn (TaskDay $day): bool => $day->isFilled())),
            WeekDays::dates($task->days->filter(static fn (TaskDay $day): bool => $day->isFilled())),
            WeekDays::dates($task->days->where('locked', true)),
            WeekDays::dates($task->daysOff),
            array_values($task->practices->sortBy('on_date')->map(PracticeResource::of(...))->all()),
        );
    }
}
