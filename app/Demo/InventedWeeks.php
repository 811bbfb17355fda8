<?php

declare(strict_types=1);

namespace App\Demo;

use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\TaskKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Weeks by seeded chance, as tight and as tangled as teachers' weeks are at their worst: for measuring the planner. */
final class InventedWeeks
{
    private const MINUTES = [0, 8, 10, 12, 15, 20, 25, 30];

    private const KINDS = [TaskKind::Remedy, TaskKind::Stage, TaskKind::Stage, TaskKind::Stage, TaskKind::Stage, TaskKind::Drill, TaskKind::Review, TaskKind::Review, TaskKind::Theory];

    private const MOST_TASKS = 14;

    private function __construct(private readonly Randomizer $chance) {}

    public static function make(int $seed): Week
    {
        return (new self(new Randomizer(new Mt19937($seed))))->week();
    }

    private function week(): Week
    {
        $days = [];
        for ($day = 5; $day < 12; $day++) {
            $minutes = self::MINUTES[$this->chance->getInt(0, 7)];
            if ($minutes > 0 || $day > 9) {
                $days[] = new PlanDay(sprintf('2031-05-%02d', $day), 2 * max(8, $minutes));
            }
        }
        $tasks = [new PlanTask('warm-up', TaskKind::WarmUp, $this->chance->getInt(2, 6))];
        for ($more = $this->chance->getInt(4, self::MOST_TASKS - 1); $more > 0; $more--) {
            $tasks[] = $this->task($tasks, array_column($days, 'date'));
        }

        return new Week($days, $tasks, $this->chance->getInt(1, 3), '2031-05-12');
    }

    /**
     * @param  list<PlanTask>  $before
     * @param  list<string>  $dates
     */
    private function task(array $before, array $dates): PlanTask
    {
        $kind = self::KINDS[$this->chance->getInt(0, count(self::KINDS) - 1)];
        $stages = array_filter($before, static fn (PlanTask $task): bool => $task->kind === TaskKind::Stage);
        $waits = array_filter($kind === TaskKind::Stage ? $stages : [], fn (): bool => $this->oneIn(4));

        return new PlanTask(
            $kind->value.' '.count($before),
            $kind,
            $this->chance->getInt(2, 14),
            array_values(array_column($waits, 'id')),
            $kind === TaskKind::Stage ? ! $this->oneIn(3) : $kind === TaskKind::Remedy && $this->oneIn(5),
            $this->oneIn(10),
            $kind === TaskKind::Review ? $this->chance->getInt(1, 60) : 0,
            locked: ! $kind->isWork() && array_merge(...array_column($before, 'locked')) === [] && $this->oneIn(4) ? [$dates[$this->chance->getInt(0, count($dates) - 1)]] : [],
        );
    }

    private function oneIn(int $times): bool
    {
        return $this->chance->getInt(1, $times) === 1;
    }
}
