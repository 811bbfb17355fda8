<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\WeekDayResource;
use App\Models\Practice;
use App\Models\Student;
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
        $days = [];
        foreach (self::dates($week) as $date) {
            $on = [];
            $practised = 0;
            foreach ($week->tasks as $task) {
                foreach ($task->days as $day) {
                    if ($day->on_date->toDateString() === $date) {
                        $on[$day->position.'.'.$day->id] = $task;
                    }
                }
                $practised += $task->practices->contains(static fn (Practice $practice): bool => $practice->on_date->toDateString() === $date) ? $task->half_minutes : 0;
            }
            ksort($on, SORT_NUMERIC);
            $days[] = new WeekDayResource(
                $date,
                self::minutesOn($week->student, $date),
                array_sum(array_map(static fn (Task $task): int => $task->half_minutes, $on)) / 2,
                $practised / 2,
                array_values(array_map(static fn (Task $task): int => $task->id, $on)),
            );
        }

        return $days;
    }

    /** @return list<PlanDay> the days with time to practise */
    public static function forPlanner(Week $week): array
    {
        $days = [];
        foreach (self::dates($week) as $date) {
            $minutes = self::minutesOn($week->student, $date);
            if ($minutes > 0) {
                $days[] = new PlanDay($date, 2 * $minutes);
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

    /** @return list<string> from the lesson to the day before the next */
    private static function dates(Week $week): array
    {
        $dates = [];
        for ($day = $week->starts_on; $day->lessThan($week->ends_on); $day = $day->addDay()) {
            $dates[] = $day->toDateString();
        }

        return $dates;
    }

    private static function minutesOn(Student $student, string $date): int
    {
        $weekday = CarbonImmutable::parse($date)->dayOfWeekIso;

        return $student->practiceDays->firstWhere('weekday', $weekday)->minutes ?? 0;
    }
}
