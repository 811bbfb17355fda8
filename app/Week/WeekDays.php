<?php

declare(strict_types=1);

namespace App\Week;

use App\Student\Timetable\Holiday;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\Week as PlanWeek;
use Nasturtium\Core\Practice\Planning\WeekPlanner;

/** The days of a week: what is planned and practised on each, and what the planner is told of them. */
final class WeekDays
{
    /** In seconds; dates stand for days, not for hours of a place, so that each has as many. */
    private const DAY = 86_400;

    public const RELATIONS = [
        'student.practiceDays', 'student.studio.holidays', 'tasks.bars', 'tasks.days', 'tasks.daysOff', 'tasks.practices',
        'tasks.learning.piece', 'tasks.stage.waitsFor',
    ];

    /** @return list<WeekDayResource> one for each day to the next lesson */
    public static function of(Week $week): array
    {
        $placed = [];
        $planned = [];
        $practised = [];
        foreach ($week->tasks as $task) {
            foreach ($task->days as $day) {
                $date = $day->getRawOriginal('on_date');
                $placed[$date][] = [$day->position, $day->id, $task->id];
                $planned[$date] = ($planned[$date] ?? 0) + $task->half_minutes;
            }
            foreach ($task->practices as $practice) {
                $date = $practice->getRawOriginal('on_date');
                $practised[$date] = ($practised[$date] ?? 0) + $task->half_minutes;
            }
        }
        $days = [];
        foreach (self::minutes($week) as $date => $minutes) {
            $on = $placed[$date] ?? [];
            sort($on);
            $days[] = new WeekDayResource(
                $date,
                $minutes,
                ($planned[$date] ?? 0) / 2,
                ($practised[$date] ?? 0) / 2,
                array_column($on, 2),
            );
        }

        return $days;
    }

    /**
     * What the planner is told: the days that are not over, with the time that is left on them, and the tasks with what
     * was practised already.
     */
    public static function forPlanner(Week $week, CarbonImmutable $from): PlanWeek
    {
        $today = $from->toDateString();
        $used = 0;
        foreach ($week->tasks as $task) {
            $used += self::practisedOn($task, $today) ? $task->half_minutes : 0;
        }
        $days = [];
        foreach (self::minutes($week) as $date => $minutes) {
            if ($minutes > 0 && $date >= $today && count($days) < WeekPlanner::MOST_DAYS) {
                $days[] = new PlanDay($date, max(0, 2 * $minutes - ($date === $today ? $used : 0)));
            }
        }

        return new PlanWeek($days, self::tasks($week, $today), WeekPlanner::mostNewAt($week->student->age($from)), $week->ends_on->toDateString());
    }

    /** @return list<PlanTask> */
    private static function tasks(Week $week, string $today): array
    {
        $byStage = [];
        foreach ($week->tasks as $task) {
            if ($task->stage_id !== null) {
                $byStage[$task->stage_id] = (string) $task->id;
            }
        }
        $planned = [];
        foreach ($week->tasks as $task) {
            $waits = [];
            foreach ($task->stage->waitsFor ?? [] as $stage) {
                if (isset($byStage[$stage->id]) && $stage->passed_on === null) {
                    $waits[] = $byStage[$stage->id];
                }
            }
            $played = $task->learning?->played_on;
            $practised = self::practisedOn($task, $today);
            $ahead = $task->days->filter(static fn (TaskDay $day): bool => $day->getRawOriginal('on_date') > $today || (! $practised && $day->getRawOriginal('on_date') === $today));
            $off = $task->daysOff->map(static fn (DayOff $day): string => $day->getRawOriginal('on_date'))->all();
            $planned[] = new PlanTask(
                (string) $task->id,
                $task->kind,
                $task->half_minutes,
                $waits,
                $task->is_new,
                $task->starred,
                $played === null ? 0 : (int) $played->diffInDays($week->ends_on),
                $task->leads,
                self::dates($ahead->where('locked', true)),
                array_values($practised ? [...$off, $today] : $off),
                $task->practices->count(),
                self::dates($ahead),
                $task->most_days,
            );
        }

        return $planned;
    }

    public static function practisedOn(Task $task, string $date): bool
    {
        return $task->practices->contains(static fn (Practice $practice): bool => $practice->getRawOriginal('on_date') === $date);
    }

    /**
     * @param  iterable<TaskDay>|iterable<DayOff>  $days
     * @return list<string>
     */
    public static function dates(iterable $days): array
    {
        $dates = [];
        foreach ($days as $day) {
            $dates[] = $day->getRawOriginal('on_date');
        }
        sort($dates);

        return $dates;
    }

    /** @return array<string, int> the minutes of each date, from the lesson to the day before the next */
    public static function minutes(Week $week): array
    {
        return self::minutesBetween(
            $week->starts_on->toDateString(),
            $week->ends_on->toDateString(),
            $week->share,
            $week->student->practiceDays->pluck('minutes', 'weekday')->all(),
            array_values($week->student->everyHoliday()->where('practice', false)->map(static fn (Holiday $holiday): array => $holiday->dates())->all()),
        );
    }

    /**
     * @param  array<int, int>  $minutes  by weekday
     * @param  list<array{string, string}>  $free  first and last date of each time without practice
     * @return array<string, int> of each date from one to the day before the other
     */
    public static function minutesBetween(string $from, string $to, int $share, array $minutes, array $free): array
    {
        $dates = [];
        $second = (int) strtotime("{$from} UTC");
        $weekday = (int) gmdate('N', $second);
        for (; ($date = gmdate('Y-m-d', $second)) < $to; $second += self::DAY) {
            $isFree = false;
            foreach ($free as [$first, $last]) {
                $isFree = $isFree || ($date >= $first && $date <= $last);
            }
            $dates[$date] = $isFree ? 0 : intdiv(($minutes[$weekday] ?? 0) * $share, 100);
            $weekday = $weekday % 7 + 1;
        }

        return $dates;
    }
}
