<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** Holds the days of a week against rules 1 to 4 of the plan and the new things a day (trade 11.2). */
final readonly class RuleCheck
{
    /** @param array<array-key, list<string>> $dates by task id */
    private function __construct(private Week $week, private array $dates) {}

    /**
     * Which rules a plan breaks, in words.
     *
     * @param  array<array-key, list<string>>  $dates  by task id
     * @return list<array{date: string, task: string, text: string}>
     */
    public static function broken(Week $week, array $dates): array
    {
        $check = new self($week, $dates);

        return [...$check->minutes(), ...$check->twice(), ...$check->order(), ...$check->once()];
    }

    /** @return list<array{date: string, task: string, text: string}> */
    private function minutes(): array
    {
        $broken = [];
        foreach ($this->week->days as $day) {
            $used = 0;
            $new = 0;
            $last = '';
            foreach ($this->week->tasks as $task) {
                if (in_array($day->date, $this->dates[$task->id] ?? [], true)) {
                    $used += $task->halfMinutes;
                    $new += $task->isMet() && $this->first($task->id) === $day->date ? 1 : 0;
                    $last = $task->id;
                }
            }
            if ($used > $day->halfMinutes) {
                $over = ($used - $day->halfMinutes) / 2;
                $has = $day->halfMinutes / 2;
                $broken[] = ['date' => $day->date, 'task' => $last, 'text' => "The day has {$has} min and would need {$over} more. Move or shorten something first."];
            }
            if ($new > $this->week->mostNew) {
                $broken[] = ['date' => $day->date, 'task' => $last, 'text' => "That is {$new} new things on one day; {$this->week->mostNew} is enough at this age."];
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
        foreach ($this->week->tasks as $task) {
            $first = $this->first($task->id);
            foreach ($task->practised > 0 ? [] : $task->waitsFor as $id) {
                $needed = $this->first($id);
                if ($first !== null && $this->isAsked($id) && ($needed === null || $needed >= $first)) {
                    $broken[] = ['date' => $first, 'task' => $task->id, 'text' => 'It waits for another stage, whose first day comes earlier.'];
                }
            }
        }

        return $broken;
    }

    /** @return list<array{date: string, task: string, text: string}> new work that stands on one day, though another could hold it */
    private function once(): array
    {
        $broken = [];
        foreach ($this->week->tasks as $task) {
            $first = $this->first($task->id);
            if ($first === null || ! $task->isMetTwice() || count($this->dates[$task->id]) > 1 || $task->locked !== []) {
                continue;
            }
            foreach ($this->week->days as $day) {
                if ($day->date !== $first && ! in_array($day->date, $task->off, true) && $day->halfMinutes >= $task->halfMinutes) {
                    $broken[] = ['date' => $first, 'task' => $task->id, 'text' => 'New work is met on two days of the week.'];

                    break;
                }
            }
        }

        return $broken;
    }

    /** What was done already this week holds nothing up. */
    private function isAsked(string $id): bool
    {
        foreach ($this->week->tasks as $task) {
            if ($task->id === $id) {
                return $task->practised === 0;
            }
        }

        return false;
    }

    private function first(string $id): ?string
    {
        return ($this->dates[$id] ?? []) === [] ? null : min($this->dates[$id]);
    }
}
