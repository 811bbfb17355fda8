<?php

declare(strict_types=1);

namespace App\Demo;

use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\TaskKind;

/** Weeks by seeded chance, as tight and as tangled as teachers' weeks are at their worst: for measuring the planner. */
final class InventedWeeks
{
    private const MINUTES = [0, 8, 10, 12, 15, 20, 25, 30];

    private const KINDS = [TaskKind::Remedy, TaskKind::Stage, TaskKind::Stage, TaskKind::Stage, TaskKind::Stage, TaskKind::Drill, TaskKind::Review, TaskKind::Review, TaskKind::Theory];

    private const MOST_TASKS = 14;

    private function __construct(private readonly Chance $chance) {}

    public static function make(int $seed): Week
    {
        return (new self(new Chance($seed)))->week();
    }

    private function week(): Week
    {
        $days = [];
        for ($day = 5; $day < 12; $day++) {
            $minutes = $this->chance->oneOf(self::MINUTES);
            if ($minutes > 0 || $day > 9) {
                $days[] = new PlanDay(sprintf('2031-05-%02d', $day), 2 * max(8, $minutes));
            }
        }
        $tasks = [new PlanTask('warm-up', TaskKind::WarmUp, $this->chance->between(2, 6))];
        for ($more = $this->chance->between(4, self::MOST_TASKS - 1); $more > 0; $more--) {
            $tasks[] = $this->task($tasks, array_column($days, 'date') ?: throw new \LogicException('a week has days'));
        }

        return new Week($days, $tasks, $this->chance->between(1, 3), '2031-05-12');
    }

    /**
     * @param  list<PlanTask>  $before
     * @param  non-empty-list<string>  $dates
     */
    private function task(array $before, array $dates): PlanTask
    {
        $kind = $this->chance->oneOf(self::KINDS);
        $stages = array_filter($before, static fn (PlanTask $task): bool => $task->kind === TaskKind::Stage);
        $waits = array_filter($kind === TaskKind::Stage ? $stages : [], fn (): bool => $this->chance->oneIn(4));

        return new PlanTask(
            $kind->value.' '.count($before),
            $kind,
            $this->chance->between(2, 14),
            array_values(array_column($waits, 'id')),
            $kind === TaskKind::Stage ? ! $this->chance->oneIn(3) : $kind === TaskKind::Remedy && $this->chance->oneIn(5),
            $this->chance->oneIn(10),
            $kind === TaskKind::Review ? $this->chance->between(1, 60) : 0,
            locked: ! $kind->isWork() && array_merge(...array_column($before, 'locked')) === [] && $this->chance->oneIn(4) ? [$this->chance->oneOf($dates)] : [],
        );
    }
}
