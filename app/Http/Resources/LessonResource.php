<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Actions\FindRemedies;
use App\Actions\NextPages;
use App\Api\ListOf;
use App\Models\Lesson;
use App\Models\Week;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\Slip as SlipKind;
use OpenApi\Attributes as OA;

/** A lesson: the week it hears, its marks and slips, and the week that follows. */
#[OA\Schema]
final readonly class LessonResource
{
    /**
     * @param  list<SlipResource>  $slips
     * @param  list<SlipKindResource>  $slipKinds
     * @param  list<RemedyResource>  $remedies  that next week will have
     * @param  list<StuckResource>  $stuck
     * @param  list<NextPageResource>  $nextPages
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $heldOn,
        #[OA\Property(enum: Lesson::STATES)]
        public string $state,
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public string $privateNote,
        #[OA\Property]
        public string $sharedNote,
        #[OA\Property]
        public ?string $finishedAt,
        #[OA\Property]
        public ?WeekResource $week,
        #[ListOf(SlipResource::class)]
        public array $slips,
        #[ListOf(SlipKindResource::class)]
        public array $slipKinds,
        #[OA\Property]
        public ?int $nextWeekId,
        #[ListOf(RemedyResource::class)]
        public array $remedies,
        #[ListOf(StuckResource::class)]
        public array $stuck,
        #[ListOf(NextPageResource::class)]
        public array $nextPages,
    ) {}

    public static function of(Lesson $lesson, CarbonImmutable $today): self
    {
        $lesson->loadMissing(['student', 'slips', 'week']);

        return new self(
            $lesson->id,
            $lesson->student_id,
            "{$lesson->student->first_name} {$lesson->student->initial}.",
            $lesson->held_on->toDateString(),
            $lesson->state,
            $lesson->minutes ?? $lesson->student->lesson_minutes,
            $lesson->private_note ?? '',
            $lesson->shared_note ?? '',
            $lesson->finished_at?->toIso8601String(),
            $lesson->week === null ? null : WeekResource::of($lesson->week, $today),
            array_values($lesson->slips->map(SlipResource::of(...))->all()),
            array_map(SlipKindResource::of(...), SlipKind::cases()),
            Week::query()->where('student_id', $lesson->student_id)->where('starts_on', $lesson->held_on->toDateString())->value('id'),
            array_map(static fn (array $found): RemedyResource => RemedyResource::of(...$found), FindRemedies::of($lesson)),
            StuckResource::of($lesson->student_id),
            NextPages::of($lesson->student),
        );
    }
}
