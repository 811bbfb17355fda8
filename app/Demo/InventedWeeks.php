<?php

declare(strict_types=1);

namespace App\Demo;

use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\TaskClass;

/** Weeks by seeded chance, as tight and as tangled as teachers' weeks are at their worst: for measuring the planner. */
final class InventedWeeks
{
    private const MINUTES = [0, 8, 10, 12, 15, 20, 25, 30];

    private const CLASSES = [TaskClass::Remedy, TaskClass::Playing, TaskClass::Drill, TaskClass::Review, TaskClass::Review, TaskClass::Theory, TaskClass::Sight];

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
        $dates = array_column($days, 'date') ?: throw new \LogicException('a week has days');
        $tasks = [new PlanTask('warm-up', TaskClass::WarmUp, 4)];
        $most = $this->chance->between(4, self::MOST_TASKS);
        for ($page = 1; count($tasks) < $most && $this->chance->oneIn(3) === false && $page < 4; $page++) {
            array_push($tasks, ...$this->page("p{$page}", $page === 1, $dates));
        }
        while (count($tasks) <= $most) {
            $tasks[] = $this->task($tasks, $dates);
        }

        return new Week($days, $tasks, $this->chance->between(1, 3), '2031-05-12', $this->chance->between(4, 9));
    }

    /**
     * A page somewhere on its way: looked over, prepared, hands apart, hands together.
     *
     * @param  non-empty-list<string>  $dates
     * @return list<PlanTask>
     */
    private function page(string $page, bool $older, array $dates): array
    {
        $begun = $this->chance->oneIn(3);
        $tasks = [];
        $new = function (string $name, TaskClass $class, int $size, array $waits, bool $isNew = true) use ($page, $begun, $older, $dates): PlanTask {
            /** @var list<string> $waits */
            return new PlanTask(
                "{$page} {$name}",
                $class,
                $size,
                $waits,
                $isNew,
                $this->chance->oneIn(10),
                off: $this->chance->oneIn(8) ? [$this->chance->oneOf($dates)] : [],
                page: $page,
                begun: $begun,
                older: $older,
                halfMinutesFirst: $class === TaskClass::Playing ? $size + $this->chance->between(0, 4) : null,
            );
        };
        $waits = [];
        if (! $begun) {
            $tasks[] = $new('look', TaskClass::Glance, 2, []);
            foreach (['tap', 'name'] as $name) {
                $tasks[] = $new($name, TaskClass::Preparation, $this->chance->between(2, 6), ["{$page} look"]);
                $waits[] = "{$page} {$name}";
            }
        }
        foreach (['right', 'left'] as $name) {
            $tasks[] = $new($name, TaskClass::Playing, $this->chance->between(3, 12), $waits, ! $begun || $this->chance->oneIn(2));
        }
        $tasks[] = $new('together', TaskClass::Playing, $this->chance->between(4, 14), ["{$page} right", "{$page} left"]);

        return $tasks;
    }

    /**
     * @param  list<PlanTask>  $before
     * @param  non-empty-list<string>  $dates
     */
    private function task(array $before, array $dates): PlanTask
    {
        $class = $this->chance->oneOf(self::CLASSES);

        return new PlanTask(
            $class->value.' '.count($before),
            $class,
            $this->chance->between(2, 14),
            [],
            $class->isWork() && ! $this->chance->oneIn(3),
            $this->chance->oneIn(10),
            $class === TaskClass::Review ? $this->chance->between(1, 60) : 0,
            locked: ! $class->isWork() && array_merge(...array_column($before, 'locked')) === [] && $this->chance->oneIn(4) ? [$this->chance->oneOf($dates)] : [],
        );
    }
}
