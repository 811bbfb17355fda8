<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/** The first day on which a task can be met, by what it waits for and the new things a day (rules 3 to 5). */
final readonly class Earliest
{
    /**
     * @param  list<PlanTask>  $tasks
     * @param  array<int, int>  $open  days that each task may stand on and that could hold it on its first, as bits
     */
    public function __construct(private array $tasks, private Waiting $waiting, private array $open, private int $days, private int $mostNew) {}

    /** @return int the number of the day; the number of days where it has none */
    public function of(int $task): int
    {
        $needed = $this->needed($task, []);
        $met = [];
        for ($day = 0; $day < $this->days; $day++) {
            $left = $this->mostNew;
            $today = $this->meet($needed, $met, $day, $left);
            $met += array_fill_keys($today, $day);
            if (isset($met[$task])) {
                return $day;
            }
        }

        return $this->days;
    }

    /**
     * What can be met on a day, what is needed most first.
     *
     * @param  list<int>  $needed
     * @param  array<int, int>  $met  day by task
     * @return list<int>
     */
    private function meet(array $needed, array $met, int $day, int $left): array
    {
        $today = [];
        $pages = [];
        foreach ($needed as $task) {
            if (isset($met[$task]) || ($this->open[$task] >> $day & 1) === 0) {
                continue;
            }
            foreach ($this->waiting->later[$task] as $for) {
                if (! isset($met[$for])) {
                    continue 2;
                }
            }
            foreach ($this->waiting->notEarlier[$task] as $for) {
                if (! isset($met[$for]) && ! in_array($for, $today, true)) {
                    continue 2;
                }
            }
            $costs = $this->newness($task, $met, $pages);
            if ($costs > $left) {
                continue;
            }
            $left -= $costs;
            $today[] = $task;
            $page = $this->tasks[$task]->page ?? "#{$task}";
            $pages[$page] = ($pages[$page] ?? 0) | ($this->tasks[$task]->class === TaskClass::Preparation ? 1 : 2);
        }

        return $today;
    }

    /**
     * @param  array<int, int>  $met
     * @param  array<string, int>  $pages  1 for new preparation, 2 for new playing, today
     */
    private function newness(int $task, array $met, array $pages): int
    {
        $of = $this->tasks[$task];
        if (! $of->isMet() || ! in_array($of->class, [TaskClass::Preparation, TaskClass::Playing], true)) {
            return 0;
        }
        $today = $pages[$of->page ?? "#{$task}"] ?? 0;
        if ($of->class === TaskClass::Preparation) {
            return ($today & 1) === 1 ? 0 : 1;
        }
        foreach ($of->page === null ? [] : array_keys($met) as $other) {
            if ($this->tasks[$other]->page === $of->page && $this->tasks[$other]->class === TaskClass::Playing) {
                return 1;
            }
        }

        return $of->page !== null && ! $of->begun && $today === 1 ? 0 : 1;
    }

    /**
     * @param  list<int>  $seen
     * @return list<int> the task and all that it waits for, what is waited for first
     */
    private function needed(int $task, array $seen): array
    {
        foreach ($this->waiting->of($task) as $for) {
            if (! in_array($for, $seen, true)) {
                $seen = $this->needed($for, $seen);
            }
        }

        return in_array($task, $seen, true) ? $seen : [...$seen, $task];
    }
}
