<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/**
 * A week from its tasks (handbook 11, rules 1 to 6). The choice is greedy: what is worth most comes first, work is
 * met twice before anything is met three times, and the emptier day is taken.
 */
final class WeekPlanner
{
    /** A third meeting is the last that counts. */
    private const MOST_DAYS = 3;

    /** @var array<string, PlanTask> */
    private array $tasks = [];

    /** @var array<string, true> ids that something waits for */
    private array $waitedFor = [];

    /** @var array<string, int> half minutes left, by date */
    private array $room = [];

    /** @var array<string, int> new things met, by date */
    private array $met = [];

    /** @var array<string, list<string>> dates in order, by task id */
    private array $placed = [];

    /**
     * @param  list<PlanDay>  $days  in order
     * @param  list<PlanTask>  $tasks
     */
    private function __construct(private readonly array $days, array $tasks, private readonly int $mostNew)
    {
        foreach ($days as $day) {
            $this->room[$day->date] = $day->halfMinutes;
            $this->met[$day->date] = 0;
        }
        foreach ($tasks as $task) {
            $this->tasks[$task->id] = $task;
            $this->placed[$task->id] = [];
            $this->waitedFor += array_fill_keys($task->waitsFor, true);
        }
    }

    /**
     * @param  list<PlanDay>  $days  in order
     * @param  list<PlanTask>  $tasks  prerequisites before what waits for them
     * @param  int  $mostNew  new things a day
     */
    public static function propose(array $days, array $tasks, int $mostNew): Plan
    {
        return (new self($days, $tasks, $mostNew))->plan();
    }

    /** The most new things a day that suits an age in years (handbook 11). */
    public static function mostNewAt(int $age): int
    {
        return $age < 7 ? 1 : ($age <= 10 ? 2 : 3);
    }

    /**
     * Which rules a plan breaks, in words; the same rules as for the proposal.
     *
     * @param  list<PlanDay>  $days
     * @param  list<PlanTask>  $tasks
     * @param  array<array-key, list<string>>  $dates  by task id
     * @return list<array{date: string, task: string, text: string}>
     */
    public static function broken(array $days, array $tasks, array $dates, int $mostNew): array
    {
        return (new RuleCheck($days, $tasks, $dates, $mostNew))->broken();
    }

    private function plan(): Plan
    {
        $order = $this->byWorth();
        foreach ($order as $task) {
            if ($task->kind->isWork()) {
                $this->place($task);
                $this->place($task);
            }
        }
        for ($round = 1; $round <= self::MOST_DAYS; $round++) {
            foreach ($order as $task) {
                if (count($this->placed[$task->id]) < $round) {
                    $this->place($task);
                }
            }
        }
        foreach ($order as $task) {
            while ($task->kind === TaskKind::WarmUp && $this->place($task)) {
                // A warm-up opens every day that still has a minute for it.
            }
        }

        return new Plan($this->inOrder(), $this->left());
    }

    /** @return list<PlanTask> dearest first, prerequisites before what waits for them, reviews by how long they rested */
    private function byWorth(): array
    {
        $tasks = array_values($this->tasks);
        $place = array_flip(array_keys($this->tasks));
        usort($tasks, static fn (PlanTask $a, PlanTask $b): int => [$b->value(), $b->idleDays, $place[$a->id]] <=> [$a->value(), $a->idleDays, $place[$b->id]]);
        $order = [];
        foreach ($tasks as $task) {
            $this->afterWhatItWaitsFor($task, $order);
        }

        return array_values($order);
    }

    /** @param array<string, PlanTask> $order */
    private function afterWhatItWaitsFor(PlanTask $task, array &$order): void
    {
        foreach ($task->waitsFor as $id) {
            if (isset($this->tasks[$id]) && ! isset($order[$id])) {
                $this->afterWhatItWaitsFor($this->tasks[$id], $order);
            }
        }
        $order[$task->id] ??= $task;
    }

    private function place(PlanTask $task): bool
    {
        $best = null;
        foreach ($this->days as $day) {
            if ($this->canStand($task, $day->date) && ($best === null || $this->better($task, $day->date, $best))) {
                $best = $day->date;
            }
        }
        if ($best === null) {
            return false;
        }
        $this->met[$best] += $task->isNew && $this->placed[$task->id] === [] ? 1 : 0;
        $this->room[$best] -= $task->halfMinutes;
        $this->placed[$task->id][] = $best;
        sort($this->placed[$task->id]);

        return true;
    }

    private function canStand(PlanTask $task, string $date): bool
    {
        if ($this->room[$date] < $task->halfMinutes || in_array($date, $this->placed[$task->id], true)) {
            return false;
        }
        $first = $this->placed[$task->id][0] ?? null;
        if ($first !== null) {
            // What is met first, or waited for, keeps the day of its first meeting; the rest of the week hangs on it.
            return $date > $first || ! ($task->isNew || $task->waitsFor !== [] || isset($this->waitedFor[$task->id]));
        }
        if ($task->isNew && $this->met[$date] >= $this->mostNew) {
            return false;
        }
        foreach ($task->waitsFor as $id) {
            if (isset($this->tasks[$id]) && (($this->placed[$id][0] ?? null) === null || $this->placed[$id][0] >= $date)) {
                return false;
            }
        }

        return true;
    }

    /** Work is met as early as it can be; the rest goes where there is most time. */
    private function better(PlanTask $task, string $date, string $than): bool
    {
        $first = $this->placed[$task->id] === [];

        return ! ($task->kind->isWork() && $first) && $this->room[$date] > $this->room[$than];
    }

    /** @return array<string, list<string>> warm-up, the hardest new work, continuing work, then review and the rest (rule 5) */
    private function inOrder(): array
    {
        $days = [];
        foreach ($this->days as $day) {
            $on = array_values(array_filter($this->tasks, fn (PlanTask $task): bool => in_array($day->date, $this->placed[$task->id], true)));
            usort($on, fn (PlanTask $a, PlanTask $b): int => $this->rank($a, $day->date) <=> $this->rank($b, $day->date));
            $days[$day->date] = array_column($on, 'id');
        }

        return $days;
    }

    /** @return array{int, int, int} */
    private function rank(PlanTask $task, string $date): array
    {
        return self::rankOn($task, $task->isNew && ($this->placed[$task->id][0] ?? null) === $date);
    }

    /** @return array{int, int, int} where a task stands in its day, by rule 5 */
    public static function rankOn(PlanTask $task, bool $metToday): array
    {
        return [match (true) {
            $task->kind === TaskKind::WarmUp => 0,
            $task->kind->isWork() && $metToday => 1,
            $task->kind->isWork() => 2,
            $task->kind === TaskKind::Drill => 3,
            $task->kind === TaskKind::Review => 4,
            default => 5,
        }, $task->leads ? 0 : 1, -$task->value() * 100 - $task->halfMinutes];
    }

    /** @return array<string, string> */
    private function left(): array
    {
        $left = [];
        foreach ($this->tasks as $task) {
            if ($this->placed[$task->id] === []) {
                $left[$task->id] = $this->reason($task);
            }
        }

        return $left;
    }

    private function reason(PlanTask $task): string
    {
        foreach ($task->waitsFor as $id) {
            if (isset($this->tasks[$id]) && $this->placed[$id] === []) {
                return 'waits for a stage that has no day yet';
            }
        }
        $most = $this->room === [] ? 0 : max($this->room);
        if ($most < $task->halfMinutes) {
            $short = ($task->halfMinutes - $most) / 2;

            return "no day has room; {$short} min short";
        }

        return $task->isNew ? 'enough new things on every day that is left' : 'no day is left after what it waits for';
    }
}
