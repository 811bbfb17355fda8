<?php

declare(strict_types=1);

namespace App\Week;

use App\Api\ListOf;
use App\Student\Family\FamilyWordResource;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use OpenApi\Attributes as OA;

/** An assignment from one lesson to the next. */
#[OA\Schema]
final readonly class WeekResource
{
    /**
     * @param  list<FamilyWordResource>  $familyWords  to the teacher
     * @param  list<string>  $receivers  the family's mail, and the labels of its home links
     * @param  list<string>  $changes  since it was sent
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
        public string $lessonNote,
        #[ListOf(FamilyWordResource::class)]
        public array $familyWords,
        #[ListOf('string')]
        public array $receivers,
        #[ListOf('string')]
        public array $changes,
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

    /** @param Week $week with all that WeekDays::RELATIONS names */
    public static function of(Week $week, CarbonImmutable $today): self
    {
        return new self(
            $week->id,
            $week->student_id,
            $week->student->name()->short(),
            $week->starts_on->toDateString(),
            $week->ends_on->toDateString(),
            $week->sent_at?->toIso8601String(),
            $week->message,
            $week->lessonNote,
            $week->familyWords,
            [...$week->student->family_mail === null ? [] : [$week->student->family_mail], ...$week->links],
            SentPlan::changes($week),
            $week->share,
            $week->planned_on?->toDateString(),
            WeekPlanner::mostNewAt($week->student->age($today)),
            WeekDays::of($week),
            array_values($week->tasks->map(TaskResource::of(...))->all()),
        );
    }
}
