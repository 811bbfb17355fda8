<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\WeekDayResource;
use App\Models\Task;
use App\Models\TaskDay;
use App\Models\Week;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\PlanDay;
use Nasturtium\Core\Practice\PlanTask;

/** The days of a week: what is planned and practised on each, and what the planner is told of them. */
final class WeekDays
{
    public const RELATIONS = [
        'student.practiceDays', 'tasks.bars', 'tasks.days', 'tasks.practices',
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
        $minutes = $week->student->practiceDays->pluck('minutes', 'weekday');
        $days = [];
        foreach (self::dates($week) as $date => $weekday) {
            $on = $placed[$date] ?? [];
            sort($on);
            $days[] = new WeekDayResource(
                $date,
                (int) $minutes->get($weekday, 0),
                ($planned[$date] ?? 0) / 2,
                ($practised[$date] ?? 0) / 2,
                array_column($on, 2),
            );
        }

        return $days;
    }

    /** @return list<PlanDay> the days with time to practise */
    public static function forPlanner(Week $week): array
    {
        $minutes = $week->student->practiceDays->pluck('minutes', 'weekday');
        $days = [];
        foreach (self::dates($week) as $date => $weekday) {
            if ($minutes->get($weekday, 0) > 0) {
                $days[] = new PlanDay($date, 2 * (int) $minutes->get($weekday));
            }
        }

        return $days;
    }

    /**
     * @param  iterable<Task>  $tasks  with their stages and what those wait for
     * @return list<PlanTask>
     */
    public static function tasksForPlanner(iterable $tasks, CarbonImmutable $on): array
    {
        $byStage = [];
        foreach ($tasks as $task) {
            if ($task->stage_id !== null) {
                $byStage[$task->stage_id] = (string) $task->id;
            }
        }
        $planned = [];
        foreach ($tasks as $task) {
            $waits = [];
            foreach ($task->stage->waitsFor ?? [] as $stage) {
                if (isset($byStage[$stage->id]) && $stage->passed_on === null) {
                    $waits[] = $byStage[$stage->id];
                }
            }
            $played = $task->learning?->played_on;
            $planned[] = new PlanTask(
                (string) $task->id,
                $task->taskKind(),
                $task->half_minutes,
                $waits,
                $task->is_new,
                $task->starred,
                $played === null ? 0 : (int) $played->diffInDays($on),
                $task->leads,
            );
        }

        return $planned;
    }

    /** @return array<array-key, list<string>> dates by task id, as the planner names tasks */
    public static function datesByTask(Week $week): array
    {
        $dates = [];
        foreach ($week->tasks as $task) {
            $dates[(string) $task->id] = array_values($task->days->map(static fn (TaskDay $day): string => $day->on_date->toDateString())->all());
        }

        return $dates;
    }

    /** @return array<string, int> the weekday of each date, from the lesson to the day before the next */
    private static function dates(Week $week): array
    {
        $dates = [];
        [$last, $weekday] = [$week->ends_on->toDateString(), $week->starts_on->dayOfWeekIso];
        for ($day = $week->starts_on; ($date = $day->toDateString()) < $last; $day = $day->addDay()) {
            $dates[$date] = $weekday;
            $weekday = $weekday % 7 + 1;
        }

        return $dates;
    }
}
