<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Lesson;
use App\Models\Student;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\Calendar\LessonState;
use OpenApi\Attributes as OA;

/** A lesson in sight, by the timetable or changed. */
#[OA\Schema]
final readonly class LessonDayResource
{
    /** How far one looks ahead. */
    public const WEEKS = 8;

    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public string $time,
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public LessonState $state,
        #[OA\Property]
        public ?string $slotOn,
        #[OA\Property]
        public ?int $lessonId,
    ) {}

    /** @return list<self> from today on, the cancelled among them */
    public static function ahead(Student $student, CarbonImmutable $from, CarbonImmutable $to): array
    {
        $student->loadMissing(Student::TIMETABLE);
        $days = [];
        foreach ($student->timetable()->between($from->toDateString(), $to->toDateString()) as $date) {
            $changed = $student->changedLessons->first(static fn (Lesson $lesson): bool => $lesson->held_on->toDateString() === $date);
            $days[] = self::on($student, CarbonImmutable::parse($date), $changed);
        }
        foreach ($student->changedLessons as $lesson) {
            if ($lesson->state === LessonState::Cancelled && $lesson->held_on->betweenIncluded($from, $to)) {
                $days[] = self::on($student, $lesson->held_on, $lesson);
            }
        }
        usort($days, static fn (self $a, self $b): int => $a->date <=> $b->date);

        return $days;
    }

    private static function on(Student $student, CarbonImmutable $day, ?Lesson $lesson): self
    {
        return new self(
            $day->toDateString(),
            $student->lessonTimeOn($day),
            $lesson->minutes ?? ($day->dayOfWeekIso === $student->second_weekday ? $student->second_minutes : null) ?? $student->lesson_minutes,
            $lesson->state ?? LessonState::Held,
            $lesson?->slot_on?->toDateString(),
            $lesson?->id,
        );
    }
}
