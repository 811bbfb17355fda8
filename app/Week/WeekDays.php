<?php

declare(strict_types=1);

namespace App\Week;

use App\Student\Learning\Learning;
use App\Student\Learning\Stage;
use App\Student\Timetable\Holiday;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Path\AskedStages;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\Week as PlanWeek;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Practice\TaskClass;
use Nasturtium\Core\Practice\TaskKind;

/** The days of a week: what is planned and practised on each, and what the planner is told of them. */
final class WeekDays
{
    /** In seconds; dates stand for days, not for hours of a place, so that each has as many. */
    private const DAY = 86_400;

    /** Of a hundred parts of each day that is left, what is planned after missed days. */
    private const AFTER_MISSED = 80;

    public const RELATIONS = [
        'student.practiceDays', 'student.studio.holidays', 'tasks.bars', 'tasks.days', 'tasks.daysOff', 'tasks.practices',
        'tasks.learning.piece', 'tasks.stage.waitsFor',
    ];

    /** What is fetched for forPlanner(). */
    public const FOR_PLANNER = [...self::RELATIONS, 'tasks.learning.stages'];

    /** @return list<WeekDayResource> one for each day to the next lesson */
    public static function of(Week $week): array
    {
        $placed = $planned = $practised = [];
        foreach ($week->tasks as $task) {
            $took = [];
            foreach ($task->days as $day) {
                $date = $day->getRawOriginal('on_date');
                $placed[$date][] = [$day->position, $day->id, new DayTaskResource($task->id, ($day->half_minutes ?? $task->half_minutes) / 2, $day->more / 2)];
                $took[$date] = $day->halfMinutesOf($task->half_minutes);
                // What the student chooses is asked of nobody.
                $planned[$date] = ($planned[$date] ?? 0) + ($task->kind === TaskKind::Choice ? 0 : $took[$date]);
            }
            foreach ($task->practices as $practice) {
                $date = $practice->getRawOriginal('on_date');
                $practised[$date] = ($practised[$date] ?? 0) + ($took[$date] ?? $task->half_minutes);
            }
        }
        $minutes = self::minutes($week);
        $days = [];
        foreach ($minutes as $date => $of) {
            $on = $placed[$date] ?? [];
            sort($on);
            $days[] = new WeekDayResource(
                $date,
                $of,
                ($planned[$date] ?? 0) / 2,
                ($practised[$date] ?? 0) / 2,
                array_map(static fn (array $of): int => $of[2]->id, $on),
                array_column($on, 2),
            );
        }

        return $days;
    }

    /**
     * What the planner is told: the days that are not over, with the time that is left on them, and the tasks with what
     * was practised already.
     *
     * @param  bool  $afterMissed  days were missed: what is left is not piled up
     */
    public static function forPlanner(Week $week, CarbonImmutable $from, bool $afterMissed = false): PlanWeek
    {
        $today = $from->toDateString();
        $used = 0;
        foreach ($week->tasks as $task) {
            $day = $task->days->first(static fn (TaskDay $day): bool => $day->getRawOriginal('on_date') === $today);
            $used += self::practisedOn($task, $today) ? $day?->halfMinutesOf($task->half_minutes) ?? $task->half_minutes : 0;
        }
        $days = [];
        foreach (self::minutes($week) as $date => $minutes) {
            if ($minutes > 0 && $date >= $today && count($days) < WeekPlanner::MOST_DAYS) {
                $halfMinutes = intdiv(2 * $minutes * ($afterMissed ? self::AFTER_MISSED : 100), 100);
                $days[] = new PlanDay($date, max(0, $halfMinutes - ($date === $today ? $used : 0)));
            }
        }

        $age = $week->student->age($from);

        return new PlanWeek($days, self::tasks($week, $today), WeekPlanner::mostNewAt($age), $week->ends_on->toDateString(), WeekPlanner::mostTasksAt($age), WeekPlanner::mostMoreAt($age));
    }

    /** @return list<PlanTask> */
    private static function tasks(Week $week, string $today): array
    {
        $planned = [];
        [$older, $begun] = [self::openedFirst($week), self::begun($week)];
        foreach ($week->tasks as $task) {
            $waits = self::waits($week, $task);
            $played = $task->learning?->played_on;
            $practised = self::practisedOn($task, $today);
            $ahead = $task->days->reject(static fn (TaskDay $day): bool => $day->isFilled())->filter(static fn (TaskDay $day): bool => $day->getRawOriginal('on_date') > $today || (! $practised && $day->getRawOriginal('on_date') === $today));
            $off = $task->daysOff->map(static fn (DayOff $day): string => $day->getRawOriginal('on_date'))->all();
            $planned[] = new PlanTask(
                (string) $task->id,
                $task->taskClass(),
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
                $task->most_days === Task::AS_MANY_AS_HELP ? null : $task->most_days,
                null,
                $task->learning_id === null || $task->kind === TaskKind::Review ? null : $task->learning_id.($task->line > 1 ? "#{$task->line}" : ''),
                // What is learnt line by line begins with its first.
                isset($begun[(int) $task->learning_id]) || $task->line > 1,
                $task->learning_id !== null && $task->learning_id === $older,
                $task->half_minutes_first,
                $task->performance_id !== null,
            );
        }

        return $planned;
    }

    /** @return list<string> ids of the tasks that come before one: of its line those that its stage waits for, and the line before */
    private static function waits(Week $week, Task $task): array
    {
        $waits = [];
        foreach ($task->stage->waitsFor ?? [] as $stage) {
            foreach ($stage->passed_on === null ? $week->tasks->where('stage_id', $stage->id) : [] as $other) {
                if ($task->line === null || $other->line === null || $task->line === $other->line) {
                    $waits[] = (string) $other->id;
                }
            }
        }
        if ($task->line !== null && $task->taskClass() === TaskClass::Playing) {
            // A line that is an earlier one again is not played by itself.
            $before = $week->tasks->where('stage_id', $task->stage_id)->where('line', '<', $task->line)->sortByDesc('line')->first();
            array_push($waits, ...$before === null ? [] : [(string) $before->id]);
        }

        return $waits;
    }

    /** The page that was opened first of those that are not signed off. */
    private static function openedFirst(Week $week): ?int
    {
        return $week->tasks->pluck('learning')->filter(static fn (?Learning $learning): bool => $learning?->state === LearningState::Current)
            ->sortBy(static fn (Learning $learning): array => [$learning->opened_on->toDateString(), $learning->id])->first()?->id;
    }

    /** @return array<int, true> ids of the pages of which some playing was passed or goes on */
    private static function begun(Week $week): array
    {
        $stages = [];
        foreach ($week->tasks as $task) {
            if ($task->learning === null) {
                continue;
            }
            $stages[$task->learning->id] ??= array_values($task->learning->stages->map(static fn (Stage $stage): array => [$stage->kind, $stage->passed_on !== null])->all());
            if ($task->stage !== null) {
                $stages[$task->learning->id][] = [$task->stage->kind, ! $task->is_new || $task->practices->isNotEmpty()];
            }
        }

        return array_fill_keys(array_keys(array_filter($stages, AskedStages::isBegun(...))), true);
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
