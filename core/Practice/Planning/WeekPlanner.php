<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/** A week from its tasks: the days that together are worth most, under rules 1 to 8 (trade 11.2), then filled. */
final readonly class WeekPlanner
{
    /** Days that can be planned at once: over long holidays the first of them. */
    public const MOST_DAYS = 31;

    /** Why a task has no day that lies further on. */
    public const NEXT = 'Comes in a later week';

    private function __construct(private WeekBoard $board, private Week $week) {}

    public static function propose(Week $week, ?int $rounds = null): Plan
    {
        // The order in which tasks are given says nothing.
        $tasks = $week->tasks;
        usort($tasks, static fn (PlanTask $a, PlanTask $b): int => [$b->value(), $b->halfMinutes, $a->id] <=> [$a->value(), $a->halfMinutes, $b->id]);
        $sorted = new Week($week->days, $tasks, $week->mostNew, $week->until, $week->mostTasks, $week->mostMore);
        $board = new WeekBoard($sorted);
        (new WeekSearch($board, $sorted))->fillBoard($rounds);
        (new WeekSpread($board))->even();

        return (new self($board, $sorted))->plan();
    }

    /**
     * A week just as it stands: its days in the order things are done, with their minutes, and filled.
     *
     * @param  array<array-key, list<string>>  $dates  by task id, those of warm-ups too
     */
    public static function keep(Week $week, array $dates): Plan
    {
        $board = new WeekBoard($week);
        $numbers = array_flip(array_column($week->days, 'date'));
        $on = array_fill_keys(array_keys($numbers), []);
        foreach ($week->tasks as $at => $task) {
            foreach ($dates[$task->id] ?? [] as $date) {
                $number = $numbers[$date] ?? null;
                if ($number === null) {
                    continue;
                }
                $on[$date][] = $task;
                if ($task->class !== TaskClass::WarmUp && ($board->on[$at] >> $number & 1) === 0) {
                    $board->put($at, $number);
                }
            }
        }
        $kept = new self($board, $week);

        return new Plan($kept->inOrder($on), [], [], Filling::of($week, $board), $board->eighths(), $kept->minutes($on));
    }

    /** The most new things a day that suits an age in years (trade 11.1). */
    public static function mostNewAt(int $age): int
    {
        return $age < 7 ? 1 : ($age <= 10 ? 2 : 3);
    }

    /** The most tasks a day beside the warm-up that suit an age in years (trade 11.1). */
    public static function mostTasksAt(int $age): int
    {
        return $age < 8 ? 5 : ($age <= 12 ? 7 : 9);
    }

    /** Half minutes that filling may add to one task of a day, by age in years (trade 11.3). */
    public static function mostMoreAt(int $age): int
    {
        return $age < 8 ? 10 : 20;
    }

    private function plan(): Plan
    {
        $left = $next = [];
        $warmUps = array_replace([], ...array_values(WarmUpTime::of($this->week)));
        foreach ($this->board->tasks as $at => $task) {
            $isWarmUp = $task->class === TaskClass::WarmUp;
            if ($this->board->on[$at] !== 0 || $task->practised > 0 || $task->mostDays === 0 || isset($warmUps[$task->id]) || $task->class === TaskClass::Choice) {
                continue;
            }
            if ($isWarmUp || $this->board->days === 0) {
                $left[$task->id] = $warmUps === [] ? 'No day left with time for it' : 'Warm-ups take a fifth of a day at most';
            } elseif ($this->isForAnotherWeek($at)) {
                $next[] = $task->id;
            } else {
                $left[$task->id] = $this->reason($at);
            }
        }

        $on = $this->on();

        return new Plan($this->inOrder($on), $left, $next, Filling::of($this->week, $this->board), $this->board->eighths(), $this->minutes($on));
    }

    /** Its chain leaves it no day, or leaves none to what it waits for. */
    private function isForAnotherWeek(int $task): bool
    {
        $chain = [$task];
        for ($i = 0; isset($chain[$i]); $i++) {
            if (! $this->board->hasDays[$chain[$i]]) {
                return true;
            }
            foreach ($this->board->waiting->of($chain[$i]) as $for) {
                if ($this->board->on[$for] === 0 && ! in_array($for, $chain, true)) {
                    $chain[] = $for;
                }
            }
        }

        return false;
    }

    /** @return array<string, list<PlanTask>> what stands on each date */
    private function on(): array
    {
        $warm = WarmUpTime::of($this->week);
        $on = [];
        foreach ($this->week->days as $number => $day) {
            $on[$day->date] = [];
            foreach ($this->board->tasks as $at => $task) {
                if (isset($warm[$day->date][$task->id]) || ($this->board->on[$at] >> $number & 1) === 1) {
                    $on[$day->date][] = $task;
                }
            }
        }

        return $on;
    }

    /**
     * @param  array<string, list<PlanTask>>  $on  by date
     * @return array<string, list<string>>
     */
    private function inOrder(array $on): array
    {
        $first = self::firstDates($on);
        $order = [];
        foreach ($on as $date => $tasks) {
            $met = [];
            foreach ($tasks as $task) {
                if ($task->isMet() && $first[$task->id] === $date) {
                    $met[$task->id] = true;
                }
            }
            $order[$date] = DayOrder::of($tasks, $met);
        }

        return $order;
    }

    /**
     * @param  array<string, list<PlanTask>>  $on  by date
     * @return array<string, array<array-key, int>> half minutes by task, by date
     */
    private function minutes(array $on): array
    {
        $warm = WarmUpTime::of($this->week);
        $first = self::firstDates($on);
        $minutes = [];
        foreach ($on as $date => $tasks) {
            foreach ($tasks as $task) {
                $minutes[$date][$task->id] = $warm[$date][$task->id] ?? $task->halfMinutesOn($first[$task->id] === $date);
            }
        }

        return $minutes;
    }

    /**
     * @param  array<string, list<PlanTask>>  $on  by date, in order
     * @return array<array-key, string> by task id
     */
    private static function firstDates(array $on): array
    {
        $first = [];
        foreach ($on as $date => $tasks) {
            foreach ($tasks as $task) {
                $first[$task->id] ??= $date;
            }
        }

        return $first;
    }

    private function reason(int $at): string
    {
        $task = $this->board->tasks[$at];
        if ($task->class === TaskClass::Review && $this->board->open[$at] === 0) {
            return WeekBoard::MOST_REVIEWS.' reviews are enough for a week';
        }
        if ($this->board->waitsInVain($at) || $this->board->isOrphan($at)) {
            return 'An earlier step isn’t scheduled yet';
        }
        $open = $this->board->open[$at];
        foreach ($this->board->waiting->later[$at] as $for) {
            $met = $this->board->on[$for] & -$this->board->on[$for];
            $open &= ~($met | $met - 1);
        }
        $short = [];
        foreach ($this->board->room as $day => $room) {
            if (($open >> $day & 1) === 1) {
                $short[] = $this->board->sizeFirst[$at] - $room;
            }
        }
        sort($short);
        $days = $this->board->twice[$at] ? 2 : 1;
        if (! isset($short[$days - 1])) {
            return $days === 1 || $short === [] ? 'No day left after the earlier step' : 'Needs two days; only one is left';
        }
        if ($short[$days - 1] <= 0) {
            return $task->isMet() ? 'No day left for more new work' : 'Enough tasks on every day';
        }

        return ($days === 1 ? 'no room' : 'no room on two days')." before {$this->week->ends()}; ".($short[$days - 1] / 2).' min short';
    }
}
