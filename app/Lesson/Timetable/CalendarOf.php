<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Student\Student;
use App\Student\Timetable\LessonsAhead;
use App\Week\Week;
use App\Week\WeekDays;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Formats\Calendar;
use Nasturtium\Core\Formats\CalendarEvent;
use Nasturtium\Core\Practice\Calendar\LessonState;

/** The lessons of a student with the days of practice, or all lessons of a studio, as a calendar. */
final class CalendarOf
{
    private const WEEKS_BACK = 4;

    private const WEEKS_AHEAD = 26;

    public function __invoke(CalendarFeed $feed): string
    {
        $students = $feed->student_id === null
            ? Student::query()->where('studio_id', $feed->studio_id)->whereNull('left_on')->with(Student::TIMETABLE)->get()
            : Student::query()->whereKey($feed->student_id)->with(Student::TIMETABLE)->get();
        $events = [];
        foreach ($students as $student) {
            array_push($events, ...self::lessons($student, $feed->student_id === null));
            if ($feed->student_id !== null) {
                array_push($events, ...self::practice($student));
            }
        }

        return Calendar::write($feed->studio->name, $events, CarbonImmutable::now());
    }

    /** @return list<CalendarEvent> */
    private static function lessons(Student $student, bool $withName): array
    {
        $today = $student->studio->today();
        $events = [];
        foreach (LessonsAhead::between($student, $today->subWeeks(self::WEEKS_BACK), $today->addWeeks(self::WEEKS_AHEAD)) as $lesson) {
            if ($lesson->state !== LessonState::Cancelled) {
                $events[] = new CalendarEvent(
                    "lesson-{$student->id}-".($lesson->slotOn ?? $lesson->date).'@nasturtium',
                    CarbonImmutable::parse("{$lesson->date} {$lesson->time}", $student->studio->timezone),
                    $lesson->minutes,
                    $withName ? $student->name()->short() : 'Piano lesson',
                );
            }
        }

        return $events;
    }

    /** @return list<CalendarEvent> a day each, of the week that was sent */
    private static function practice(Student $student): array
    {
        $week = Week::query()->where('student_id', $student->id)->whereNotNull('sent_at')->orderByDesc('starts_on')->with(WeekDays::RELATIONS)->first();
        $events = [];
        if ($week === null) {
            return [];
        }
        foreach (WeekDays::of($week) as $day) {
            if ($day->taskIds !== []) {
                $titles = $week->tasks->whereIn('id', $day->taskIds)->sortBy(static fn ($task): int => (int) array_search($task->id, $day->taskIds, true))->pluck('title');
                $events[] = new CalendarEvent("practice-{$student->id}-{$day->date}@nasturtium", CarbonImmutable::parse($day->date), null, "Piano, {$day->planned} min", $titles->implode("\n"));
            }
        }

        return $events;
    }
}
