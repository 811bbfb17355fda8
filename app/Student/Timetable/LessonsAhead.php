<?php

declare(strict_types=1);

namespace App\Student\Timetable;

use App\Lesson\Lesson;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\Calendar\LessonState;

/** The lessons of a student in some weeks, the cancelled among them. */
final class LessonsAhead
{
    /** How far one looks ahead. */
    private const WEEKS = 8;

    /** @return list<LessonDay> from today on */
    public static function of(Student $student): array
    {
        return self::between($student, $student->today(), $student->today()->addWeeks(self::WEEKS));
    }

    /** @return list<LessonDay> by day */
    public static function between(Student $student, CarbonImmutable $from, CarbonImmutable $to): array
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
        usort($days, static fn (LessonDay $a, LessonDay $b): int => $a->date <=> $b->date);

        return $days;
    }

    private static function on(Student $student, CarbonImmutable $day, ?Lesson $lesson): LessonDay
    {
        return new LessonDay(
            $day->toDateString(),
            $student->lessonTimeOn($day),
            $lesson->minutes ?? $student->minutesOn($day),
            $lesson->state ?? LessonState::Held,
            $lesson?->slot_on?->toDateString(),
            $lesson,
        );
    }
}
