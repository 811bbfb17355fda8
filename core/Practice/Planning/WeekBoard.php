<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/**
 * The days of a week with the tasks that stand on them, under the rules that no plan breaks (trade 11.2
 * and the new things a day). Tasks and days go by their numbers; sets of days are bits, the first day the lowest.
 */
final class WeekBoard
{
    /** @var array<int, int> half minutes each task takes a day */
    public readonly array $size;

    /** @var array<int, list<int>> worth of the next meetings, in quarters */
    public readonly array $gains;

    /** @var array<int, int> days it must stand on */
    public readonly array $locked;

    /** @var array<int, int> days it stood on before a change */
    public readonly array $stood;

    /** @var array<int, bool> it is met this week for the first time */
    public readonly array $new;

    /** @var array<int, list<int>> tasks whose first day comes later */
    public readonly array $follow;

    /** @var array<int, bool> new work that stands on two days or on none, as there are two that could hold it (rule 4) */
    public readonly array $twice;

    /** @var array<int, int> days it stands on */
    public array $on;

    /** @var array<int, int> half minutes left, by day */
    public array $room;

    /** @var array<int, int> new things that may still be met, by day */
    private array $fresh;

    /** @var array<int, int> days it may stand on */
    private readonly array $open;

    /** @var array<int, list<int>> tasks whose first day comes earlier */
    private readonly array $waits;

    /**
     * @param  list<PlanDay>  $days  in order
     * @param  list<PlanTask>  $tasks
     */
    public function __construct(array $days, array $tasks, int $mostNew)
    {
        $this->room = array_column($days, 'halfMinutes');
        $this->fresh = array_fill(0, count($days), $mostNew);
        $this->size = array_column($tasks, 'halfMinutes');
        $this->gains = array_map(static fn (PlanTask $task): array => $task->gains(), $tasks);
        $this->new = array_map(static fn (PlanTask $task): bool => $task->isMet(), $tasks);
        $this->on = array_fill(0, count($tasks), 0);
        $bits = [];
        foreach ($days as $at => $day) {
            $bits[$day->date] = 1 << $at;
        }
        $this->locked = array_map(static fn (PlanTask $task): int => self::bits($task->locked, $bits), $tasks);
        $this->open = array_map(static fn (PlanTask $task): int => array_sum($bits) & ~self::bits($task->off, $bits) | self::bits($task->locked, $bits), $tasks);
        $this->twice = array_map(fn (PlanTask $task, int $open): bool => $task->isMetTwice() && $this->holding($open, $task->halfMinutes) > 1, $tasks, $this->open);
        [$this->waits, $this->follow] = self::order($tasks);
        $this->stood = array_map(static fn (PlanTask $task): int => self::bits($task->stood, $bits), $tasks);
        foreach ($this->locked as $task => $locked) {
            for (; $locked !== 0; $locked &= $locked - 1) {
                $this->put($task, self::dayAt($locked, 0));
            }
        }
        $this->putBack();
    }

    /** What stood before a change stands again, as far as the rules let it. */
    private function putBack(): void
    {
        do {
            $put = false;
            foreach ($this->stood as $task => $stood) {
                for ($days = $stood & $this->free($task); $days !== 0; $days = $stood & $this->free($task)) {
                    $this->put($task, self::dayAt($days, 0));
                    $put = true;
                }
            }
        } while ($put);
        foreach ($this->twice as $task => $twice) {
            if ($twice && self::count($this->on[$task]) === 1) {
                $this->drop($task);
            }
        }
    }

    /**
     * @param  list<string>  $dates
     * @param  array<string, int>  $bits  by date
     */
    private static function bits(array $dates, array $bits): int
    {
        return (int) array_sum(array_intersect_key($bits, array_flip($dates)));
    }

    /**
     * What was done already this week holds nothing up.
     *
     * @param  list<PlanTask>  $tasks
     * @return array{array<int, list<int>>, array<int, list<int>>} what each waits for, and what follows it
     */
    private static function order(array $tasks): array
    {
        $at = array_flip(array_column($tasks, 'id'));
        $waits = $follow = array_fill(0, count($tasks), []);
        foreach ($tasks as $task => $of) {
            foreach ($of->practised > 0 ? [] : $of->waitsFor as $id) {
                if (isset($at[$id]) && $tasks[$at[$id]]->practised === 0) {
                    $waits[$task][] = $at[$id];
                    $follow[$at[$id]][] = $task;
                }
            }
        }

        return [$waits, $follow];
    }

    /** How many of some days could hold a task, were they empty. */
    private function holding(int $days, int $size): int
    {
        $holding = 0;
        foreach ($this->room as $day => $room) {
            $holding += ($days >> $day & 1) === 1 && $room >= $size ? 1 : 0;
        }

        return $holding;
    }

    /** How often a task stands before what it waits for; only locks can bring that about. */
    public function early(): int
    {
        $early = 0;
        foreach ($this->locked as $task => $locked) {
            foreach ($locked === 0 ? [] : $this->waits[$task] as $of) {
                $met = $this->on[$of] & -$this->on[$of];
                $early += $met === 0 || $met >= ($this->on[$task] & -$this->on[$task]) ? 1 : 0;
            }
        }

        return $early;
    }

    /** @return array{array<int, int>, array<int, int>, array<int, int>} to come back to */
    public function standing(): array
    {
        return [$this->on, $this->room, $this->fresh];
    }

    /** @param array{array<int, int>, array<int, int>, array<int, int>} $standing */
    public function restore(array $standing): void
    {
        [$this->on, $this->room, $this->fresh] = $standing;
    }

    /** The days a task could stand on as the plan is. */
    public function free(int $task): int
    {
        $on = $this->on[$task];
        $days = $this->open[$task] & ~$on;
        $first = $on & -$on;
        $before = $first === 0 ? -1 : $first - 1;
        if (($days & $before) !== 0) {
            foreach ($this->waits[$task] as $of) {
                $met = $this->on[$of] & -$this->on[$of];
                $days &= $met === 0 ? ~$before : ~$before | -($met << 1);
            }
            if ($first === 0) {
                foreach ($this->follow[$task] as $after) {
                    $days &= $this->on[$after] === 0 ? -1 : ($this->on[$after] & -$this->on[$after]) - 1;
                }
            }
        }
        $new = $this->new[$task];
        $size = $this->size[$task];
        foreach ($this->room as $day => $room) {
            if ($room < $size || ($new && $this->fresh[$day] < 1 && ($before >> $day & 1) === 1)) {
                $days &= ~(1 << $day);
            }
        }

        return $days;
    }

    /** It waits for something that stands nowhere. */
    public function waitsInVain(int $task): bool
    {
        foreach ($this->waits[$task] as $of) {
            if ($this->on[$of] === 0) {
                return true;
            }
        }

        return false;
    }

    /** The days a task that stands nowhere could stand on, were there the time and not too much new. */
    public function allowed(int $task): int
    {
        $days = $this->open[$task];
        foreach ($this->waits[$task] as $of) {
            $days &= -(($this->on[$of] & -$this->on[$of]) << 1);
        }

        return $days;
    }

    public function put(int $task, int $day): void
    {
        $first = $this->on[$task] & -$this->on[$task];
        if ($this->new[$task] && ($first === 0 || 1 << $day < $first)) {
            $this->fresh[$day]--;
            if ($first !== 0) {
                $this->fresh[self::dayAt($first, 0)]++;
            }
        }
        $this->on[$task] |= 1 << $day;
        $this->room[$day] -= $this->size[$task];
    }

    /** Takes a task off all its days but the locked ones, with what waits for it. */
    public function drop(int $task): void
    {
        for ($days = $this->on[$task] & ~$this->locked[$task]; $days !== 0; $days &= $days - 1) {
            $this->lift($task, self::dayAt($days, 0));
        }
        $this->mend($task);
    }

    /** Takes a task off a day; when it is then met later or not at all, what waits for it goes as far as it must. */
    public function takeOff(int $task, int $day): void
    {
        $first = $this->on[$task] & -$this->on[$task];
        $rest = $this->on[$task] & ~(1 << $day);
        if ($this->twice[$task] && self::count($rest) === 1) {
            $this->drop($task);

            return;
        }
        if ($first !== 1 << $day) {
            $this->lift($task, $day);

            return;
        }
        // The next meeting becomes the first: a new thing needs a place among the new of that day.
        if ($this->new[$task] && $rest !== 0 && $this->fresh[self::dayAt($rest, 0)] === 0) {
            if (($rest & $this->locked[$task]) === 0) {
                $this->drop($task);
            }

            return;
        }
        $this->lift($task, $day);
        $this->mend($task);
    }

    public function move(int $task, int $from, int $to): void
    {
        $this->lift($task, $from);
        $this->put($task, $to);
    }

    /** Two tasks that wait for no other change places, where the days have the time and nothing is locked. */
    public function exchange(int $one, int $other): bool
    {
        if (($this->locked[$one] | $this->locked[$other]) !== 0 || $this->waits[$one] !== [] || $this->waits[$other] !== []) {
            return false;
        }
        $difference = $this->size[$one] - $this->size[$other];
        $gets = $this->on[$other] & ~$this->on[$one];
        $gives = $this->on[$one] & ~$this->on[$other];
        foreach ($this->room as $day => $room) {
            $more = $difference * (($gets >> $day & 1) - ($gives >> $day & 1));
            if ($room < $more) {
                return false;
            }
        }
        if (($gets & ~$this->open[$one] | $gives & ~$this->open[$other]) !== 0) {
            return false;
        }
        foreach (array_keys($this->room) as $day) {
            $this->room[$day] -= $difference * (($gets >> $day & 1) - ($gives >> $day & 1));
        }
        [$this->on[$one], $this->on[$other]] = [$this->on[$other], $this->on[$one]];

        return true;
    }

    /** What follows a task that has gone or now comes later goes too, up to that day. */
    private function mend(int $task): void
    {
        foreach ($this->follow[$task] as $after) {
            $first = $this->on[$task] & -$this->on[$task];
            $early = $this->on[$after] & ($first === 0 ? -1 : ($first << 1) - 1);
            if ($early !== 0 && ($this->locked[$after] & $early) === 0) {
                $this->drop($after);
            }
        }
    }

    private function lift(int $task, int $day): void
    {
        $first = $this->on[$task] & -$this->on[$task];
        $this->on[$task] &= ~(1 << $day);
        $this->room[$day] += $this->size[$task];
        if ($this->new[$task] && $first === 1 << $day) {
            $this->fresh[$day]++;
            if ($this->on[$task] !== 0) {
                $this->fresh[self::dayAt($this->on[$task], 0)]--;
            }
        }
    }

    public static function count(int $days): int
    {
        for ($count = 0; $days !== 0; $days &= $days - 1) {
            $count++;
        }

        return $count;
    }

    /** The day of the bit that stands at a place among those that are set. */
    public static function dayAt(int $days, int $place): int
    {
        while ($place-- > 0) {
            $days &= $days - 1;
        }
        $day = 0;
        for ($bit = $days & -$days; $bit > 1; $bit >>= 1) {
            $day++;
        }

        return $day;
    }
}
