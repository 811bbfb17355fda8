<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Student\Family\FamilyWord;
use App\Student\Learning\NextPages;
use App\Student\Learning\Stuck\StuckResource;
use App\Student\Learning\Stuck\StuckStages;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\PersonName;
use Nasturtium\Core\Practice\Slip;

/** All of a lesson, in as many queries after five years as at the first one. */
final class ShowLesson
{
    public function __invoke(Lesson $lesson): LessonResource
    {
        $students = Student::query()->whereKey($lesson->student_id);
        $students->leftJoin('weeks', static fn ($next) => $next->on('weeks.student_id', '=', 'students.id')->where('weeks.starts_on', $lesson->held_on->toDateString()));
        $students->leftJoin('weeks as heard', static fn ($heard) => $heard->where('heard.id', $lesson->week_id));
        $student = $students->firstOrFail(['students.*', 'weeks.id as next_week_id', 'heard.starts_on as heard_from']);
        [$slips, $remedies] = KnownRemedies::of($lesson);

        return new LessonResource(
            $lesson->id,
            $lesson->student_id,
            (new PersonName($student->first_name, $student->initial))->short(),
            $lesson->held_on->toDateString(),
            $lesson->state,
            $lesson->minutes ?? $student->lesson_minutes,
            $lesson->private_note ?? '',
            $lesson->shared_note ?? '',
            FamilyWord::between($student->id, CarbonImmutable::parse($student->getAttribute('heard_from') ?? $lesson->held_on->subWeek()), $lesson->held_on),
            $lesson->finished_at?->toIso8601String(),
            $lesson->attendance,
            $student->timeOf($lesson->held_on, $lesson),
            $lesson->week_id,
            LessonCards::of($lesson),
            $slips,
            array_map(SlipKindResource::of(...), Slip::cases()),
            $student->getAttribute('next_week_id'),
            $remedies,
            array_map(StuckResource::of(...), StuckStages::of($lesson->student_id)),
            NextPages::of($lesson->student_id),
        );
    }
}
