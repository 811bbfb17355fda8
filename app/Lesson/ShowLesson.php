<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Student\Learning\NextPages;
use App\Student\Learning\Stuck\StuckResource;
use App\Student\Learning\Stuck\StuckStages;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\PersonName;
use Nasturtium\Core\Practice\Slip;

/** All of a lesson, in as many queries after five years as at the first one. */
final class ShowLesson
{
    public function __invoke(Lesson $lesson): LessonResource
    {
        $student = DB::table('students')->leftJoin('weeks', static fn ($next) => $next->on('weeks.student_id', '=', 'students.id')->where('weeks.starts_on', $lesson->held_on->toDateString()))
            ->where('students.id', $lesson->student_id)->first(['students.first_name', 'students.initial', 'students.lesson_minutes', 'weeks.id as next_week_id', DB::raw('if(students.second_weekday = '.$lesson->held_on->dayOfWeekIso.', coalesce(students.second_time, students.lesson_time), students.lesson_time) as time')]) ?? throw new \LogicException('a lesson has a student');
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
            $lesson->finished_at?->toIso8601String(),
            $lesson->attendance,
            substr($lesson->at ?? $student->time, 0, 5),
            $lesson->week_id,
            LessonCards::of($lesson),
            $slips,
            array_map(SlipKindResource::of(...), Slip::cases()),
            $student->next_week_id,
            $remedies,
            array_map(StuckResource::of(...), StuckStages::of($lesson->student_id)),
            NextPages::of($lesson->studio_id, $lesson->student_id),
        );
    }
}
