<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Practice\Planning\Extra;
use Nasturtium\Core\Practice\Planning\Plan;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\RuleCheck;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Practice\TaskClass;

/** A week to plan, as JSON, and its plan (docs/plan.md). */
final class WeekFile
{
    private const MOST_TASKS = 60;

    private const USUAL_NEW = 2;

    private const OF_WEEK = ['mostNew', 'mostTasks', 'mostMore', 'until', 'days', 'tasks'];

    /** Another word for playing, which files of a former release have as the `kind` of a task. */
    private const STAGE = 'stage';

    private const OF_DAY = ['date', 'minutes'];

    private const OF_TASK = [
        'id', 'class', 'kind', 'value', 'minutes', 'minutesFirst', 'waitsFor', 'new', 'starred', 'idleDays', 'leads', 'locked', 'off', 'stood', 'practised', 'mostDays',
        'page', 'begun', 'older', 'performance',
    ];

    /** @throws BadInput */
    public static function read(string $json): Week
    {
        try {
            $given = json_decode(str_starts_with($json, "\xEF\xBB\xBF") ? substr($json, 3) : $json, true, 16, JSON_THROW_ON_ERROR);
        } catch (\JsonException $reason) {
            throw BadWeek::notJson($reason);
        }
        $given = is_array($given) ? $given : throw BadWeek::noObject();
        self::nothingElse($given, self::OF_WEEK, '');
        $days = self::list($given, 'days', WeekPlanner::MOST_DAYS);
        $days = array_map(self::day(...), $days, array_keys($days));
        $tasks = self::list($given, 'tasks', self::MOST_TASKS);
        $tasks = array_map(self::task(...), $tasks, array_keys($tasks));
        self::distinct(array_column($days, 'date'), 'days', 'date');
        self::distinct(array_column($tasks, 'id'), 'tasks', 'id');
        usort($days, static fn (PlanDay $a, PlanDay $b): int => $a->date <=> $b->date);
        self::known($tasks, array_column($days, 'date'));

        return new Week(
            $days,
            $tasks,
            self::count($given, 'mostNew', '', self::USUAL_NEW),
            isset($given['until']) ? self::date($given['until'], 'until') : null,
            self::count($given, 'mostTasks', '', Week::USUAL_TASKS),
            isset($given['mostMore']) ? (int) floor(2 * self::minutes($given, '', 0, 'mostMore')) : Week::USUAL_MORE,
        );
    }

    public static function writeWeek(Week $week): string
    {
        $tasks = array_map(static fn (PlanTask $task): array => [
            'id' => $task->id, 'class' => $task->class->value, 'page' => $task->page, 'begun' => $task->begun, 'older' => $task->older,
            'minutes' => $task->halfMinutes / 2, 'minutesFirst' => $task->halfMinutesFirst / 2, 'waitsFor' => $task->waitsFor, 'new' => $task->isNew,
            'starred' => $task->starred, 'idleDays' => $task->idleDays, 'leads' => $task->leads, 'locked' => $task->locked, 'off' => $task->off,
            'stood' => $task->stood, 'practised' => $task->practised, 'mostDays' => $task->mostDays, 'value' => $task->worth, 'performance' => $task->performed,
        ], $week->tasks);
        $days = array_map(static fn (PlanDay $day): array => ['date' => $day->date, 'minutes' => $day->halfMinutes / 2], $week->days);

        return self::json(['mostNew' => $week->mostNew, 'mostTasks' => $week->mostTasks, 'mostMore' => $week->mostMore / 2, 'until' => $week->until, 'days' => $days, 'tasks' => $tasks]);
    }

    public static function writePlan(Week $week, Plan $plan): string
    {
        $dates = $plan->dates();
        $tasks = [];
        foreach ($week->tasks as $task) {
            $eighths = array_sum(array_slice($task->gains(count($week->days)), 0, count($dates[$task->id] ?? [])));
            $tasks[] = ['id' => $task->id, 'dates' => $dates[$task->id] ?? [], 'sum' => $eighths / 8];
        }
        $days = [];
        foreach ($week->days as $day) {
            $of = $plan->minutes[$day->date] ?? [];
            $each = array_map(static fn (string $id): array => ['id' => $id, 'minutes' => $of[$id] / 2], $plan->days[$day->date] ?? []);
            $used = array_sum($of);
            $days[] = ['date' => $day->date, 'minutes' => $day->halfMinutes / 2, 'used' => $used / 2, 'tasks' => $plan->days[$day->date] ?? [], 'each' => $each];
        }
        $left = array_map(static fn (string $id, string $reason): array => ['id' => $id, 'reason' => $reason], array_map(strval(...), array_keys($plan->left)), array_values($plan->left));
        $extra = array_map(static fn (Extra $of): array => ['id' => $of->id, 'date' => $of->date, 'minutes' => $of->halfMinutes / 2], $plan->extra);

        return self::json(['sum' => $plan->eighths / 8, 'days' => $days, 'tasks' => $tasks, 'extra' => $extra, 'left' => $left, 'next' => $plan->next, 'broken' => RuleCheck::broken($week, $dates)]);
    }

    /** @param array<string, mixed> $document */
    private static function json(array $document): string
    {
        return json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return list<mixed>
     */
    private static function list(array $given, string $name, int $most): array
    {
        $list = $given[$name] ?? null;
        if (! is_array($list) || ! array_is_list($list)) {
            throw BadWeek::listMissing($name);
        }
        if (count($list) > $most) {
            throw BadWeek::listTooLong($name, count($list), $most);
        }

        return $list;
    }

    private static function day(mixed $given, int $at): PlanDay
    {
        $given = self::object($given, "days[{$at}]");
        self::nothingElse($given, self::OF_DAY, "days[{$at}]");

        return new PlanDay(self::date($given['date'] ?? null, "days[{$at}].date"), (int) floor(2 * self::minutes($given, "days[{$at}]", 0)));
    }

    private static function task(mixed $given, int $at): PlanTask
    {
        $place = "tasks[{$at}]";
        $given = self::object($given, $place);
        self::nothingElse($given, self::OF_TASK, $place);
        $kind = $given['kind'] ?? null;
        $class = $given['class'] ?? ($kind === self::STAGE ? TaskClass::Playing->value : $kind) ?? TaskClass::Playing->value;
        $classes = array_column(TaskClass::cases(), 'value');
        if (! in_array($class, $classes, true)) {
            throw BadWeek::unknownClass($place, $classes);
        }
        if (! isset($given['class']) && $kind === null && ! isset($given['value'])) {
            throw BadWeek::neitherClassNorValue($place);
        }
        $page = $given['page'] ?? null;

        return new PlanTask(
            self::id($given['id'] ?? null, "{$place}.id"),
            TaskClass::from($class),
            (int) ceil(2 * self::minutes($given, $place, 0.5)),
            array_map(static fn (mixed $id): string => self::id($id, "{$place}.waitsFor"), self::list($given + ['waitsFor' => []], 'waitsFor', self::MOST_TASKS)),
            self::yes($given, 'new', $place),
            self::yes($given, 'starred', $place),
            self::count($given, 'idleDays', $place, 0),
            self::yes($given, 'leads', $place),
            self::dates($given, 'locked', $place),
            self::dates($given, 'off', $place),
            self::count($given, 'practised', $place, 0),
            self::dates($given, 'stood', $place),
            isset($given['mostDays']) ? self::count($given, 'mostDays', $place, 0) : null,
            isset($given['value']) ? self::count($given, 'value', $place, 0) : null,
            $page === null ? null : self::id($page, "{$place}.page"),
            self::yes($given, 'begun', $place),
            self::yes($given, 'older', $place),
            isset($given['minutesFirst']) ? (int) ceil(2 * self::minutes($given, $place, 0.5, 'minutesFirst')) : null,
            self::yes($given, 'performance', $place),
        );
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return list<string>
     */
    private static function dates(array $given, string $name, string $place): array
    {
        return array_map(static fn (mixed $date): string => self::date($date, "{$place}.{$name}"), self::list($given + [$name => []], $name, WeekPlanner::MOST_DAYS));
    }

    /**
     * What is not known is refused by its name: it would be left unheeded.
     *
     * @param  array<array-key, mixed>  $given
     * @param  list<string>  $known
     */
    private static function nothingElse(array $given, array $known, string $place): void
    {
        foreach (array_keys($given) as $name) {
            if (! in_array($name, $known, true)) {
                throw BadWeek::unknownField($place, (string) $name, $known);
            }
        }
    }

    /** @return array<array-key, mixed> */
    private static function object(mixed $given, string $place): array
    {
        return is_array($given) ? $given : throw BadWeek::notAnObject($place);
    }

    private static function id(mixed $given, string $place): string
    {
        return (is_string($given) && $given !== '') || is_int($given) ? (string) $given : throw BadWeek::notAName($place);
    }

    private static function date(mixed $given, string $place): string
    {
        $date = is_string($given) && preg_match('/^\d{4}-\d{2}-\d{2}$/D', $given) === 1 ? \DateTimeImmutable::createFromFormat('!Y-m-d', $given) : false;

        return $date !== false && $date->format('Y-m-d') === $given ? $given : throw BadWeek::notADate($place);
    }

    /** @param array<array-key, mixed> $given */
    private static function yes(array $given, string $name, string $place): bool
    {
        $value = $given[$name] ?? false;

        return is_bool($value) ? $value : throw BadWeek::notTrueOrFalse($place, $name);
    }

    /** @param array<array-key, mixed> $given */
    private static function minutes(array $given, string $place, float $least, string $name = 'minutes'): float
    {
        $minutes = $given[$name] ?? null;

        return (is_int($minutes) || is_float($minutes)) && $minutes >= $least && $minutes <= 1440 ? (float) $minutes : throw BadWeek::noMinutes($place, $name, $least);
    }

    /** @param array<array-key, mixed> $given */
    private static function count(array $given, string $name, string $place, int $usual): int
    {
        $count = $given[$name] ?? $usual;

        return is_int($count) && $count >= 0 && $count <= 9999 ? $count : throw BadWeek::noWholeNumber($place, $name);
    }

    /**
     * @param  list<PlanTask>  $tasks
     *
     * @throws BadInput that names those which wait for each other
     */
    private static function inNoCircle(array $tasks): void
    {
        $waits = array_combine(array_column($tasks, 'id'), array_column($tasks, 'waitsFor'));
        // What waits for nothing that is left is taken away, until all is, or what is left waits in a circle.
        do {
            $before = count($waits);
            $waits = array_filter($waits, static fn (array $for): bool => array_intersect($for, array_map(strval(...), array_keys($waits))) !== []);
        } while (count($waits) < $before);
        if ($waits === []) {
            return;
        }
        $circle = [(string) array_key_first($waits)];
        while (true) {
            $next = array_values(array_intersect($waits[$circle[count($circle) - 1]], array_map(strval(...), array_keys($waits))))[0];
            $at = array_search($next, $circle, true);
            if ($at !== false) {
                $names = implode(', ', array_map(static fn (string $id): string => "'{$id}'", array_slice($circle, $at)));
                throw BadWeek::waitsInACircle($names, count($circle) - $at);
            }
            $circle[] = $next;
        }
    }

    /** @param list<string> $names */
    private static function distinct(array $names, string $list, string $what): void
    {
        foreach (array_count_values($names) as $name => $times) {
            if ($times > 1) {
                throw BadWeek::namedTwice($list, $what, $name, $times);
            }
        }
    }

    /**
     * @param  list<PlanTask>  $tasks
     * @param  list<string>  $dates
     */
    private static function known(array $tasks, array $dates): void
    {
        $ids = array_column($tasks, 'id');
        self::inNoCircle($tasks);
        foreach ($tasks as $task) {
            foreach (array_diff($task->waitsFor, $ids) as $id) {
                throw BadWeek::waitsForAnother($task->id, $id);
            }
            foreach (array_diff($task->locked, $dates) as $date) {
                throw BadWeek::lockedOutside($task->id, $date);
            }
        }
    }
}
