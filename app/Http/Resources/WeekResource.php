<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Actions\WeekDays;
use App\Api\ListOf;
use App\Models\Week;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use OpenApi\Attributes as OA;

/** An assignment from one lesson to the next. */
#[OA\Schema]
final readonly class WeekResource
{
    /**
     * @param  list<WeekDayResource>  $days
     * @param  list<TaskResource>  $tasks
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $startsOn,
        #[OA\Property]
        public string $endsOn,
        #[OA\Property]
        public ?string $sentAt,
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public int $share,
        #[OA\Property]
        public ?string $plannedOn,
        #[OA\Property]
        public int $mostNew,
        #[ListOf(WeekDayResource::class)]
        public array $days,
        #[ListOf(TaskResource::class)]
        public array $tasks,
    ) {}

    public static function of(Week $week, CarbonImmutable $today): self
    {
        $week->loadMissing(WeekDays::RELATIONS);

        return new self(
            $week->id,
            $week->student_id,
            "{$week->student->first_name} {$week->student->initial}.",
            $week->starts_on->toDateString(),
            $week->ends_on->toDateString(),
            $week->sent_at?->toIso8601String(),
            $week->message,
            $week->share,
            $week->planned_on?->toDateString(),
            WeekPlanner::mostNewAt($week->student->age($today)),
            WeekDays::of($week),
            array_values($week->tasks->map(TaskResource::of(...))->all()),
        );
    }
}
