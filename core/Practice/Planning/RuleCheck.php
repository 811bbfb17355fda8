<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/** Holds the days of a week against rules 1 to 5 and 8 of the plan (trade 11.2). */
final readonly class RuleCheck
{
    /** @var array<string, PlanTask> */
    private array $tasks;

    /** @param array<array-key, list<string>> $dates by task id */
    private function __construct(private Week $week, private array $dates)
    {
        $this->tasks = array_combine(array_column($week->tasks, 'id'), $week->tasks);
    }

    /**
     * Which rules a plan breaks, in words.
     *
     * @param  array<array-key, list<string>>  $dates  by task id
     * @return list<BrokenRule>
     */
    public static function broken(Week $week, array $dates): array
    {
        $check = new self($week, array_map(static function (array $of): array {
            sort($of);

            return $of;
        }, $dates));

        return [...$check->days(), ...$check->twice(), ...$check->order(), ...$check->pages(), ...$check->once(), ...$check->reviews()];
    }

    /** @return list<BrokenRule> */
    private function days(): array
    {
        $broken = [];
        $warm = WarmUpTime::byDate($this->week);
        foreach ($this->week->days as $day) {
            $used = $warm[$day->date] ?? 0;
            $places = 0;
            $last = '';
            foreach ($this->week->tasks as $task) {
                if ($task->class !== TaskClass::WarmUp && in_array($day->date, $this->dates[$task->id] ?? [], true)) {
                    $used += $task->halfMinutesOn($this->first($task->id) === $day->date);
                    $places += $task->class->takesAPlace() ? 1 : 0;
                    $last = $task->id;
                }
            }
            if ($used > $day->halfMinutes && $last !== '') {
                $over = ($used - $day->halfMinutes) / 2;
                $has = $day->halfMinutes / 2;
                $broken[] = BrokenRule::onDay($day->date, $last, 'minutes', $used - $day->halfMinutes, "The day has {$has} min and would need {$over} more. Move or shorten something first.");
            }
            if ($places > $this->week->mostTasks) {
                $broken[] = BrokenRule::onDay($day->date, $last, 'tasks', $places, "That is {$places} tasks on one day; {$this->week->mostTasks} are enough at this age.");
            }
            $new = $this->newOn($day->date);
            if (count($new) > $this->week->newADay()) {
                $broken[] = BrokenRule::onDay($day->date, $new[count($new) - 1], 'new', count($new), 'That is '.count($new)." new things on one day; {$this->week->newADay()} is enough at this age.");
            }
        }

        return $broken;
    }

    /** @return list<string> one task for each new thing of a day (rule 5) */
    private function newOn(string $date): array
    {
        $preparation = $playing = $remedies = [];
        foreach ($this->week->tasks as $task) {
            if (! $task->isMet() || $this->first($task->id) !== $date) {
                continue;
            }
            $page = $task->page ?? "#{$task->id}";
            match ($task->class) {
                TaskClass::Preparation => $preparation[$page] ??= $task->id,
                TaskClass::Playing => $playing[$page][] = $task->id,
                TaskClass::Remedy => $remedies[] = $task->id,
                default => null,
            };
        }
        $new = array_values($preparation);
        foreach ($playing as $page => $of) {
            array_push($new, ...(isset($preparation[$page]) && $this->begins((string) $page, $date) ? array_slice($of, 1) : $of));
        }

        return [...$new, ...array_slice($remedies, 1)];
    }

    private function begins(string $page, string $date): bool
    {
        foreach ($this->week->tasks as $task) {
            $isOf = $task->page === $page && $task->class === TaskClass::Playing;
            if ($isOf && ($task->begun || ($this->first($task->id) !== null && $this->first($task->id) < $date && $task->isMet()))) {
                return false;
            }
        }

        return true;
    }

    /** @return list<BrokenRule> */
    private function twice(): array
    {
        $broken = [];
        foreach ($this->dates as $id => $dates) {
            foreach (array_count_values($dates) as $date => $times) {
                if ($times > 1) {
                    $broken[] = BrokenRule::ofTask((string) $date, (string) $id, 'A task stands once a day; it is there already.');
                }
            }
            if (($this->tasks[$id] ?? null)?->class === TaskClass::Glance && count(array_unique($dates)) > 1) {
                $broken[] = BrokenRule::ofTask($dates[1], (string) $id, 'It is looked over once; it is on another day already.');
            }
        }

        return $broken;
    }

    /** @return list<BrokenRule> */
    private function order(): array
    {
        $broken = [];
        foreach ($this->week->tasks as $task) {
            $first = $this->first($task->id);
            if ($first === null || $task->practised > 0) {
                continue;
            }
            foreach ($task->waitsFor as $id) {
                $for = $this->tasks[$id] ?? null;
                if ($for === null || $for->practised > 0) {
                    continue;
                }
                $needed = $this->first($id);
                $isSameDay = $for->class->prepares() || $task->class->prepares();
                if ($needed === null || $needed > $first || ($needed === $first && ! $isSameDay)) {
                    $broken[] = BrokenRule::ofTask($first, $task->id, $isSameDay ? 'It waits for what prepares it, on that day or earlier.' : 'It waits for another stage, whose first day comes earlier.');
                }
            }
        }

        return $broken;
    }

    /** @return list<BrokenRule> glances first, preparation before hands together and never alone (rule 3) */
    private function pages(): array
    {
        $broken = [];
        foreach ($this->week->tasks as $task) {
            $dates = $this->dates[$task->id] ?? [];
            if ($dates === [] || $task->page === null || $task->practised > 0) {
                continue;
            }
            $others = array_filter($this->week->tasks, static fn (PlanTask $other): bool => $other->page === $task->page && $other !== $task);
            $playing = array_filter($others, static fn (PlanTask $other): bool => $other->class === TaskClass::Playing);
            if ($task->class === TaskClass::Glance) {
                foreach ($others as $other) {
                    $first = $other->class === TaskClass::Glance || $other->practised > 0 ? null : $this->first($other->id);
                    if ($first !== null && $first < $dates[0]) {
                        $broken[] = BrokenRule::ofTask($dates[0], $task->id, 'A page is looked over before anything else of it is done.');

                        break;
                    }
                }
            }
            if ($task->class !== TaskClass::Preparation) {
                continue;
            }
            foreach ($playing as $together) {
                $first = $together->isMet() && $this->needsPlaying($together) ? $this->first($together->id) : null;
                if ($first !== null && $dates[count($dates) - 1] > $first) {
                    $broken[] = BrokenRule::ofTask($dates[count($dates) - 1], $task->id, 'Hands together have come by then; it comes before them.');
                }
            }
            if ($task->isNew && ! $task->begun && $playing !== [] && array_filter($playing, fn (PlanTask $of): bool => $this->first($of->id) !== null) === []) {
                $broken[] = BrokenRule::ofTask($dates[0], $task->id, 'It prepares a page of which nothing is played this week.');
            }
        }

        return $broken;
    }

    private function needsPlaying(PlanTask $task): bool
    {
        foreach ($task->waitsFor as $id) {
            if (($this->tasks[$id] ?? null)?->class === TaskClass::Playing) {
                return true;
            }
        }

        return false;
    }

    /** @return list<BrokenRule> new work that stands on one day, though another could hold it (rule 4) */
    private function once(): array
    {
        $broken = [];
        $board = new WeekBoard($this->week);
        foreach ($this->week->tasks as $at => $task) {
            $dates = $this->dates[$task->id] ?? [];
            if (count($dates) !== 1 || ! $task->isMetTwice() || $task->locked !== []) {
                continue;
            }
            if ($board->twice[$at]) {
                $broken[] = BrokenRule::ofTask($dates[0], $task->id, 'New work is met on two days of the week.');
            } elseif ($board->days > 1 && $dates[0] === $this->week->days[$board->days - 1]->date) {
                $broken[] = BrokenRule::ofTask($dates[0], $task->id, 'New work is not met on the last day alone.');
            }
        }

        return $broken;
    }

    /** @return list<BrokenRule> */
    private function reviews(): array
    {
        $reviews = array_values(array_filter($this->week->tasks, fn (PlanTask $task): bool => $task->class === TaskClass::Review && $this->first($task->id) !== null && $task->locked === []));

        $fifth = $reviews[WeekBoard::MOST_REVIEWS] ?? null;

        return $fifth === null ? [] : [BrokenRule::ofTask((string) $this->first($fifth->id), $fifth->id, WeekBoard::MOST_REVIEWS.' reviews are enough for a week.')];
    }

    private function first(string $id): ?string
    {
        return $this->dates[$id][0] ?? null;
    }
}
