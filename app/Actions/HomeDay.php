<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\BarsResource;
use App\Http\Resources\HomeDayResource;
use App\Http\Resources\HomeTaskResource;
use App\Http\Resources\PracticeResource;
use App\Http\Resources\WeekDayResource;
use App\Models\Practice;
use App\Models\Student;
use App\Models\Task;
use App\Models\Week;
use Carbon\CarbonImmutable;

/** One day of a week as the child sees it: its tasks in the order they are done. */
final class HomeDay
{
    public static function of(Student $student, ?Week $week, CarbonImmutable $day): HomeDayResource
    {
        $date = $day->toDateString();
        $leaf = $week === null ? [] : WeekDays::of($week);
        $today = array_values(array_filter($leaf, static fn (WeekDayResource $of): bool => $of->date === $date))[0] ?? null;
        $tasks = [];
        foreach ($today->taskIds ?? [] as $id) {
            $task = $week?->tasks->firstWhere('id', $id);
            if ($task !== null) {
                $tasks[] = self::task($task, $date);
            }
        }

        return new HomeDayResource($student->first_name, $date, $week?->ends_on->toDateString(), $week->message ?? '', $tasks, $leaf);
    }

    private static function task(Task $task, string $date): HomeTaskResource
    {
        $done = $task->practices->first(static fn (Practice $practice): bool => $practice->on_date->toDateString() === $date);

        return new HomeTaskResource(
            $task->id,
            $task->kind,
            $task->title,
            $task->instruction,
            $task->learning?->piece->title,
            $task->hand,
            $task->repetitions,
            $task->tempo,
            $task->half_minutes / 2,
            array_values($task->bars->sortBy('position')->map(BarsResource::of(...))->all()),
            $done === null ? null : PracticeResource::of($done),
        );
    }
}
