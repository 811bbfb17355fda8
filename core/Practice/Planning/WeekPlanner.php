<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskKind;

/** A week from its tasks: the days that together are worth most, under rules 1 to 6 (trade 11.2). */
final readonly class WeekPlanner
{
    /** Days that can be planned at once: over long holidays the first of them. */
    public const MOST_DAYS = 31;

    /** @param list<PlanTask> $tasks */
    private function __construct(private WeekBoard $board, private array $tasks, private Week $week) {}

    public static function propose(Week $week, ?int $rounds = null): Plan
    {
        $board = new WeekBoard($week->days, $week->tasks, $week->mostNew);
        (new WeekSearch($board))->fillBoard($rounds);
        (new WeekSpread($board, $week->tasks))->even();

        return (new self($board, $week->tasks, $week))->plan();
    }

    /** The most new things a day that suits an age in years (trade 11.1). */
    public static function mostNewAt(int $age): int
    {
        return $age < 7 ? 1 : ($age <= 10 ? 2 : 3);
    }

    private function plan(): Plan
    {
        $this->warmUp();
        $left = [];
        foreach ($this->tasks as $at => $task) {
            if ($this->board->on[$at] === 0 && $task->practised === 0 && $task->mostDays > 0) {
                $left[$task->id] = $this->reason($at);
            }
        }

        return new Plan($this->inOrder(), $left, $this->quarters());
    }

    /** A warm-up opens every day that still has a minute for it, though it counts for three days. */
    private function warmUp(): void
    {
        foreach ($this->tasks as $at => $task) {
            $days = $task->kind === TaskKind::WarmUp && $task->mostDays >= count(PlanTask::QUARTERS) && $this->board->on[$at] !== 0 ? $this->board->free($at) : 0;
            for (; $days !== 0; $days &= $days - 1) {
                $this->board->put($at, WeekBoard::dayAt($days, 0));
            }
        }
    }

    /** @return array<string, list<string>> warm-up, the hardest new work, continuing work, then review and the rest (rule 5) */
    private function inOrder(): array
    {
        $days = [];
        foreach ($this->week->days as $number => $day) {
            $on = [];
            foreach ($this->tasks as $at => $task) {
                if (($this->board->on[$at] >> $number & 1) === 1) {
                    $on[] = [self::rankOn($task, $task->isMet() && ($this->board->on[$at] & -$this->board->on[$at]) === 1 << $number), $task->id];
                }
            }
            usort($on, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $days[$day->date] = array_column($on, 1);
        }

        return $days;
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

    private function quarters(): int
    {
        $sum = 0;
        foreach ($this->board->gains as $at => $gains) {
            $sum += array_sum(array_slice($gains, 0, WeekBoard::count($this->board->on[$at])));
        }

        return $sum;
    }

    private function reason(int $at): string
    {
        if ($this->board->waitsInVain($at)) {
            return 'An earlier step isn’t scheduled yet';
        }
        $allowed = $this->board->allowed($at);
        $short = [];
        foreach ($this->board->room as $day => $room) {
            if (($allowed >> $day & 1) === 1) {
                $short[] = $this->board->size[$at] - $room;
            }
        }
        sort($short);
        $days = $this->board->twice[$at] ? 2 : 1;
        if (! isset($short[$days - 1])) {
            return $this->board->room === [] ? 'No day left with time for it' : ($days === 1 || $short === [] ? 'No day left after the earlier step' : 'Needs two days; only one is left');
        }
        if ($short[$days - 1] <= 0) {
            return 'No day left for more new work';
        }

        return ($days === 1 ? 'no room' : 'no room on two days')." before {$this->week->ends()}; ".($short[$days - 1] / 2).' min short';
    }
}
