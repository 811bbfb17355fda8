<?php

declare(strict_types=1);

namespace App\Week\ThisWeek;

use App\Account\Studio;
use App\Lesson\Lesson;
use App\Week\CountWeeks;
use App\Week\WeekDays;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\PersonName;

/**
 * The first screen: every student by the next lesson. What is counted of a week was kept when it changed (CountWeeks).
 *
 * @phpstan-import-type StudentRow from Glance
 * @phpstan-import-type ChangeRow from Glance
 * @phpstan-import-type HolidayRow from Glance
 * @phpstan-import-type WeekRow from Glance
 * @phpstan-import-type PageRow from Glance
 * @phpstan-import-type StuckRow from Glance
 * @phpstan-import-type Counted from CountWeeks
 */
final class ThisWeek
{
    /**
     * @param  ?int  $only  the students of one member; null for all
     * @return list<ThisWeekResource>
     */
    public function __invoke(Studio $studio, ?int $only = null): array
    {
        $today = $studio->today();
        $date = $today->toDateString();
        $glance = new Glance($studio, $today);
        $weeks = self::underWay($glance->weeks(), $date);
        [$minutes, $holidays, $changes] = [$glance->minutes(), $glance->holidays(), $glance->changes()];
        [$pages, $stuck] = [$glance->pages(), $glance->stuck()];
        [$held, $written] = [$glance->held(), $glance->familyWords()];
        $rows = [];
        foreach ($glance->students($only) as $student) {
            $week = $weeks[$student->id] ?? null;
            $free = array_values(array_filter($holidays, static fn (object $holiday): bool => $holiday->student_id === null || $holiday->student_id === $student->id));
            $counted = self::counted($week);
            $current = [];
            $due = [];
            foreach ($pages[$student->id] ?? [] as $page) {
                $page->state === LearningState::Current->value ? $current[] = $page : $due[] = $page->title;
            }
            $rows[] = new ThisWeekResource(
                $student->id,
                $student->membership_id,
                (new PersonName($student->first_name, $student->initial))->short(),
                max(0, $today->year - $student->birth_year),
                ...$next = self::lesson($student, $week, $changes[$student->id] ?? [], $free, $date),
                held: in_array($next[0], $held[$student->id] ?? [], true),
                weekId: $week?->id,
                leaf: $week === null ? [] : self::leaf($week, $minutes[$student->id] ?? [], $free, $counted['days']),
                stuck: self::stuck($current, $stuck),
                waiting: self::waiting($current, $week, $counted, $written[$student->id] ?? []),
                pieces: array_column($current, 'title'),
                reviewsDue: $due,
                left: $counted['left'],
            );
        }
        usort($rows, static fn (ThisWeekResource $a, ThisWeekResource $b): int => [$a->lessonOn, $a->lessonTime] <=> [$b->lessonOn, $b->lessonTime]);

        return $rows;
    }

    /**
     * @param  list<WeekRow>  $weeks  in order
     * @return array<int, WeekRow> the newest that has begun, or else the next, by student
     */
    private static function underWay(array $weeks, string $today): array
    {
        $of = [];
        foreach ($weeks as $week) {
            if (! isset($of[$week->student_id]) || $week->starts_on <= $today) {
                $of[$week->student_id] = $week;
            }
        }

        return $of;
    }

    /**
     * @param  StudentRow  $student
     * @param  WeekRow|null  $week
     * @param  list<ChangeRow>  $changes
     * @param  list<HolidayRow>  $holidays
     * @return array{string, string} the day and the time of the next one
     */
    private static function lesson(object $student, ?object $week, array $changes, array $holidays, string $today): array
    {
        $next = $week !== null && $week->starts_on < $today ? $week->ends_on : Lesson::timetable([$student->lesson_weekday, $student->second_weekday], $holidays, $changes)->onOrAfter($today);
        $next ??= date('Y-m-d', (int) strtotime("{$today} +7 days"));
        $at = null;
        foreach ($changes as $change) {
            $at = $change->held_on === $next ? $change->at ?? $at : $at;
        }
        $second = $student->second_time !== null && (int) date('N', (int) strtotime($next)) === $student->second_weekday;

        return [$next, substr($at ?? ($second ? $student->second_time : $student->lesson_time), 0, 5)];
    }

    /**
     * @param  WeekRow  $week
     * @param  array<int, int>  $minutes  by weekday
     * @param  list<HolidayRow>  $holidays
     * @param  array<string, array{int, int}>  $days  half minutes planned and practised, by day
     * @return list<LeafDayResource>
     */
    private static function leaf(object $week, array $minutes, array $holidays, array $days): array
    {
        $free = [];
        foreach ($holidays as $holiday) {
            if (! $holiday->practice) {
                $free[] = [$holiday->from_on, $holiday->to_on];
            }
        }
        $leaf = [];
        foreach (WeekDays::minutesBetween($week->starts_on, $week->ends_on, $week->share, $minutes, $free) as $date => $of) {
            [$planned, $practised] = $days[$date] ?? [0, 0];
            $leaf[] = new LeafDayResource($date, $of, $planned / 2, $practised / 2);
        }

        return $leaf;
    }

    /**
     * @param  WeekRow|null  $week
     * @return Counted
     */
    private static function counted(?object $week): array
    {
        /** @var Counted */
        return $week === null ? ['days' => [], 'words' => 0, 'left' => [], 'proposed' => 0, 'added' => 0, 'removed' => 0, 'kept' => 0] : json_decode($week->counted, true, flags: JSON_THROW_ON_ERROR);
    }

    /**
     * @param  list<PageRow>  $current
     * @param  array<int, list<StuckRow>>  $stuck  by page
     * @return list<string>
     */
    private static function stuck(array $current, array $stuck): array
    {
        $words = [];
        foreach ($current as $page) {
            foreach ($stuck[$page->id] ?? [] as $stage) {
                $words[] = "{$page->title}: {$stage->stage}, {$stage->misses} lessons";
            }
        }

        return $words;
    }

    /**
     * @param  list<PageRow>  $current
     * @param  WeekRow|null  $week
     * @param  Counted  $counted
     * @param  list<string>  $written  days on which a parent wrote
     * @return list<string>
     */
    private static function waiting(array $current, ?object $week, array $counted, array $written): array
    {
        $waiting = [];
        if ($current === []) {
            $waiting[] = 'no page open';
        }
        if ($week === null) {
            $waiting[] = 'no week planned';
        } elseif ($week->sent_at === null) {
            $waiting[] = 'the plan is not sent yet';
        }
        $left = count($counted['left']);
        if ($left > 0) {
            $waiting[] = $left === 1 ? 'one task didn’t fit' : "{$left} tasks didn’t fit";
        }
        $words = $counted['words'] + count(array_filter($written, static fn (string $day): bool => $week === null || $day >= $week->starts_on));
        if ($words > 0) {
            $waiting[] = $words === 1 ? 'a word from home' : "{$words} words from home";
        }

        return $waiting;
    }
}
