<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/**
 * The tasks of a day in the order they are done (rule 7): the warm-up; the pages one after another, the one with the
 * hardest new work first; a line at sight between them; theory, then reviews, the longest rested first; own choice.
 */
final readonly class DayOrder
{
    /** Within a page. */
    private const IN_PAGE = ['glance' => 0, 'drill' => 1, 'preparation' => 2, 'playing' => 3, 'remedy' => 3];

    /** After the pages. */
    private const AT_LAST = ['theory' => 0, 'review' => 1, 'choice' => 2];

    /**
     * @param  list<PlanTask>  $tasks  of the day
     * @param  array<array-key, true>  $metToday  ids of those that are met on it for the first time
     * @return list<string> their ids
     */
    public static function of(array $tasks, array $metToday): array
    {
        $first = $sight = $last = [];
        $pages = [];
        foreach ($tasks as $task) {
            match ($task->class) {
                TaskClass::WarmUp => $first[] = $task->id,
                TaskClass::Sight => $sight[] = $task->id,
                TaskClass::Theory, TaskClass::Review, TaskClass::Choice => $last[] = $task,
                default => $pages[$task->page ?? "#{$task->id}"][] = $task,
            };
        }
        $blocks = [];
        foreach ($pages as $page => $of) {
            $blocks[] = [self::hardness($of, $metToday), self::inPage($of), (string) $page];
        }
        usort($blocks, static fn (array $a, array $b): int => [$b[0], $a[2]] <=> [$a[0], $b[2]]);
        usort($last, static fn (PlanTask $a, PlanTask $b): int => [self::AT_LAST[$a->class->value] ?? 0, -$a->idleDays, -$a->value(), $a->id] <=> [self::AT_LAST[$b->class->value] ?? 0, -$b->idleDays, -$b->value(), $b->id]);
        $order = $first;
        foreach ($blocks as $i => [, $ids]) {
            array_push($order, ...($i === 1 ? $sight : []), ...$ids);
        }

        return [...$order, ...(count($blocks) > 1 ? [] : $sight), ...array_column($last, 'id')];
    }

    /**
     * @param  non-empty-list<PlanTask>  $tasks  of a page
     * @param  array<array-key, true>  $metToday
     * @return array{int, int, int} new work before what goes on, then by value and time
     */
    private static function hardness(array $tasks, array $metToday): array
    {
        $hardest = [0, 0, 0];
        foreach ($tasks as $task) {
            $hardest = max($hardest, [isset($metToday[$task->id]) && $task->class->isWork() ? 1 : 0, $task->value(), $task->halfMinutes]);
        }

        return $hardest;
    }

    /**
     * @param  non-empty-list<PlanTask>  $tasks
     * @return list<string>
     */
    private static function inPage(array $tasks): array
    {
        $ids = array_column($tasks, 'id');
        usort($tasks, static fn (PlanTask $a, PlanTask $b): int => [self::IN_PAGE[$a->class->value] ?? 4, $a->leads ? 0 : 1, -$a->value(), -$a->halfMinutes, $a->id] <=> [self::IN_PAGE[$b->class->value] ?? 4, $b->leads ? 0 : 1, -$b->value(), -$b->halfMinutes, $b->id]);
        // What is waited for comes before what waits.
        $order = [];
        while ($tasks !== []) {
            foreach ($tasks as $i => $task) {
                if (array_diff(array_intersect($task->waitsFor, $ids), $order) === [] || $i === array_key_last($tasks)) {
                    $order[] = $task->id;
                    unset($tasks[$i]);

                    break;
                }
            }
            $tasks = array_values($tasks);
        }

        return $order;
    }
}
