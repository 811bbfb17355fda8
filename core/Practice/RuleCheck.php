<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** Holds a week that somebody changed against the rules of the plan (handbook 11, rules 1 to 3 and the new things a day). */
final readonly class RuleCheck
{
    /**
     * @param  list<PlanDay>  $days
     * @param  list<PlanTask>  $tasks
     * @param  array<array-key, list<string>>  $dates  by task id
     */
    public function __construct(private array $days, private array $tasks, private array $dates, private int $mostNew) {}

    /** @return list<array{date: string, task: string, text: string}> */
    public function broken(): array
    {
        return [...$this->minutes(), ...$this->twice(), ...$this->order()];
    }

    /** @return list<array{date: string, task: string, text: string}> */
    private function minutes(): array
    {
        $broken = [];
        foreach ($this->days as $day) {
            $used = 0;
            $new = 0;
            $last = '';
            foreach ($this->tasks as $task) {
                if (in_array($day->date, $this->dates[$task->id] ?? [], true)) {
                    $used += $task->halfMinutes;
                    $new += $task->isNew && $this->first($task->id) === $day->date ? 1 : 0;
                    $last = $task->id;
                }
            }
            if ($used > $day->halfMinutes) {
                $over = ($used - $day->halfMinutes) / 2;
                $has = $day->halfMinutes / 2;
                $broken[] = ['date' => $day->date, 'task' => $last, 'text' => "The day has {$has} min and would need {$over} more. Move or shorten something first."];
            }
            if ($new > $this->mostNew) {
                $broken[] = ['date' => $day->date, 'task' => $last, 'text' => "That is {$new} new things on one day; {$this->mostNew} is enough at this age."];
            }
        }

        return $broken;
    }

    /** @return list<array{date: string, task: string, text: string}> */
    private function twice(): array
    {
        $broken = [];
        foreach ($this->dates as $id => $dates) {
            foreach (array_count_values($dates) as $date => $times) {
                if ($times > 1) {
                    $broken[] = ['date' => $date, 'task' => $id, 'text' => 'A task stands once a day; it is there already.'];
                }
            }
        }

        return $broken;
    }

    /** @return list<array{date: string, task: string, text: string}> */
    private function order(): array
    {
        $broken = [];
        foreach ($this->tasks as $task) {
            $first = $this->first($task->id);
            foreach ($task->waitsFor as $id) {
                $needed = $this->first($id);
                if ($first !== null && isset($this->dates[$id]) && ($needed === null || $needed >= $first)) {
                    $broken[] = ['date' => $first, 'task' => $task->id, 'text' => 'It waits for another stage, whose first day comes earlier.'];
                }
            }
        }

        return $broken;
    }

    private function first(string $id): ?string
    {
        return ($this->dates[$id] ?? []) === [] ? null : min($this->dates[$id]);
    }
}
