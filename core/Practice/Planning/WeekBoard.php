<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/**
 * The days of a week with the tasks that stand on them, under the rules that no plan breaks (trade 11.2). Tasks and days
 * go by their numbers; sets of days are bits, the first day the lowest.
 */
final class WeekBoard
{
    /** Pieces that are reviewed in a week. */
    public const MOST_REVIEWS = 4;

    /** Half minutes of a day on which a new page can be played. */
    private const ROOM_FOR_PLAYING = 20;

    /** @var list<PlanTask> */
    public readonly array $tasks;

    /** @var array<int, int> half minutes each task takes a day */
    public readonly array $size;

    /** @var array<int, int> half minutes on its first day */
    public readonly array $sizeFirst;

    /** @var array<int, list<int>> worth of the next meetings, in eighths */
    public readonly array $gains;

    /** @var array<int, int> days it must stand on */
    public array $locked;

    /** @var array<int, int> days it stood on before a change */
    public readonly array $stood;

    /** @var array<int, bool> it is met this week for the first time */
    public readonly array $new;

    /** @var array<int, bool> new work that stands on two days or on none (rule 4) */
    public readonly array $twice;

    /** @var array<int, bool> new work that one day must do for, and the last one does not (rule 4) */
    public readonly array $neverLast;

    /** @var array<int, bool> the days of its chain and the new things a day leave it a place; else it is for another week */
    public readonly array $hasDays;

    /** @var array<int, int> days it may stand on */
    public readonly array $open;

    public readonly Waiting $waiting;

    /** @var array<int, list<int>> tasks that wait for it, whatever way */
    private readonly array $follow;

    /** @var array<int, list<int>> of hands together: the preparation of the page, no day of which may come after its first */
    private readonly array $before;

    /** @var array<int, bool> tasks that take one of the places of a day */
    private readonly array $takes;

    /** @var array<int, array{TaskClass, int}> tasks that may be new things, with their class and page */
    private readonly array $fresh;

    /** @var array<int, int> the number of a day by its bit */
    private readonly array $dayOf;

    /** @var list<int> theory and listening that some day could hold */
    private readonly array $theory;

    /** @var array<int, int> page by task, -1 for none */
    private readonly array $page;

    /** @var array<int, list<int>> of each page that is not begun, its playing that is asked */
    public readonly array $toBegin;

    /** @var array<int, int> days it stands on */
    public array $on;

    /** @var array<int, int> half minutes left, by day */
    public array $room;

    /** @var array<int, int> tasks that a day still bears */
    public array $places;

    public readonly int $days;

    private readonly int $mostNew;

    /** A bit for each day of the week. */
    private readonly int $all;

    public function __construct(Week $week)
    {
        $this->tasks = $week->tasks;
        $tasks = $week->tasks;
        $this->days = count($week->days);
        $this->all = (1 << $this->days) - 1;
        $this->mostNew = $week->newADay();
        $warm = WarmUpTime::byDate($week);
        $this->room = array_map(static fn (PlanDay $day): int => $day->halfMinutes - ($warm[$day->date] ?? 0), $week->days);
        $this->places = array_fill(0, $this->days, $week->mostTasks);
        $this->size = array_column($tasks, 'halfMinutes');
        $this->sizeFirst = array_column($tasks, 'halfMinutesFirst');
        $this->new = array_map(static fn (PlanTask $task): bool => $task->isMet(), $tasks);
        $this->waiting = new Waiting($tasks);
        $this->on = array_fill(0, count($tasks), 0);
        $bits = [];
        foreach ($week->days as $at => $day) {
            $bits[$day->date] = 1 << $at;
        }
        $reviewed = self::reviewed($tasks);
        $this->locked = array_map(fn (PlanTask $task): int => $task->class === TaskClass::WarmUp ? 0 : self::bits($task->locked, $bits), $tasks);
        $open = [];
        foreach ($tasks as $at => $task) {
            $isAsked = $task->class !== TaskClass::WarmUp && ($task->class !== TaskClass::Review || in_array($at, $reviewed, true));
            // Before a performance that leaves nothing new, no page is opened.
            $isAsked = $isAsked && ($this->mostNew > 0 || ! $task->isMet() || $task->class !== TaskClass::Glance);
            $open[$at] = ($isAsked ? $this->all & ~self::bits($task->off, $bits) : 0) | $this->locked[$at];
        }
        $this->open = $open;
        $this->gains = array_map(fn (PlanTask $task, int $of): array => $of === 0 ? [] : $task->gains($this->days), $tasks, $open);
        [$this->page, $this->toBegin] = self::pages($tasks, $open);
        $this->takes = array_map(static fn (PlanTask $task): bool => $task->class->takesAPlace(), $tasks);
        $dayOf = [];
        for ($day = 0; $day < $this->days; $day++) {
            $dayOf[1 << $day] = $day;
        }
        $this->dayOf = $dayOf;
        $fresh = [];
        foreach ($tasks as $at => $task) {
            if ($task->isMet() && in_array($task->class, [TaskClass::Preparation, TaskClass::Playing, TaskClass::Remedy], true)) {
                $fresh[$at] = [$task->class, $this->page[$at] < 0 ? -2 - $at : $this->page[$at]];
            }
        }
        $this->fresh = $fresh;
        [$this->follow, $this->before] = $this->followers();
        $this->theory = array_values(array_filter(array_keys($tasks), fn (int $at): bool => $tasks[$at]->class === TaskClass::Theory && $tasks[$at]->practised === 0 && $this->holding($open[$at], $this->size[$at]) !== 0));
        [$this->twice, $this->neverLast, $this->hasDays] = $this->meetings();
        $this->stood = array_map(static fn (PlanTask $task): int => self::bits($task->stood, $bits), $tasks);
        foreach ($this->locked as $task => $locked) {
            for (; $locked !== 0; $locked &= $locked - 1) {
                $this->put($task, self::dayAt($locked, 0));
            }
        }
    }

    /**
     * The reviews of a week: those that rested longest, and what is locked (rule 8).
     *
     * @param  list<PlanTask>  $tasks
     * @return list<int>
     */
    private static function reviewed(array $tasks): array
    {
        $reviews = array_keys(array_filter($tasks, static fn (PlanTask $task): bool => $task->class === TaskClass::Review));
        usort($reviews, static fn (int $a, int $b): int => [$tasks[$b]->locked !== [] || $tasks[$b]->practised > 0, $tasks[$b]->starred, $tasks[$b]->idleDays, $tasks[$a]->id]
            <=> [$tasks[$a]->locked !== [] || $tasks[$a]->practised > 0, $tasks[$a]->starred, $tasks[$a]->idleDays, $tasks[$b]->id]);

        return array_slice($reviews, 0, self::MOST_REVIEWS);
    }

    /**
     * @param  list<PlanTask>  $tasks
     * @param  array<int, int>  $open
     * @return array{array<int, int>, array<int, list<int>>}
     */
    private static function pages(array $tasks, array $open): array
    {
        $numbers = [];
        $page = [];
        $toBegin = [];
        foreach ($tasks as $at => $task) {
            $page[] = $task->page === null ? -1 : $numbers[$task->page] ??= count($numbers);
            if ($task->page !== null && ! $task->begun && $task->class === TaskClass::Playing && $task->isMet() && $open[$at] !== 0) {
                $toBegin[$page[$at]][] = $at;
            }
        }

        return [$page, $toBegin];
    }

    /** @return array{array<int, list<int>>, array<int, list<int>>} */
    private function followers(): array
    {
        $follow = $before = array_fill(0, count($this->tasks), []);
        foreach ([$this->waiting->later, $this->waiting->notEarlier] as $of) {
            foreach ($of as $task => $waits) {
                foreach ($waits as $for) {
                    $follow[$for][] = $task;
                }
            }
        }
        foreach ($this->waiting->together as $preparation => $together) {
            foreach ($together as $of) {
                $before[$of][] = $preparation;
            }
        }

        return [$follow, $before];
    }

    /** @return array{array<int, bool>, array<int, bool>, array<int, bool>} */
    private function meetings(): array
    {
        $could = [];
        foreach (array_keys($this->tasks) as $at) {
            $could[$at] = $this->holding($this->open[$at], $this->sizeFirst[$at]);
        }
        $earliest = new Earliest($this->tasks, $this->waiting, $could, $this->days, $this->mostNew);
        $twice = $neverLast = $hasDays = [];
        foreach ($this->tasks as $at => $task) {
            $isTwice = false;
            $first = $task->isMet() ? $earliest->of($at) : 0;
            // On the last day alone nothing new is met.
            $hasDays[] = $first < ($this->days > 1 && $task->isMetTwice() ? $this->days - 1 : max(1, $this->days));
            if ($task->isMetTwice()) {
                $days = $first >= $this->days ? 0 : $could[$at] & ~((1 << $first) - 1);
                $low = $days & -$days;
                $isTwice = $days !== 0 && ($this->holding($this->open[$at], $this->size[$at]) & ~($low | $low - 1)) !== 0;
            }
            $twice[] = $isTwice;
            $neverLast[] = $task->isMetTwice() && ! $isTwice && $this->days > 1;
        }

        return [$twice, $neverLast, $hasDays];
    }

    /**
     * @param  list<string>  $dates
     * @param  array<string, int>  $bits  by date
     */
    private static function bits(array $dates, array $bits): int
    {
        $set = 0;
        foreach ($dates as $date) {
            $set |= $bits[$date] ?? 0;
        }

        return $set;
    }

    /** Which of some days could hold so much, were they empty. */
    private function holding(int $days, int $size): int
    {
        foreach ($this->room as $day => $room) {
            if ($room < $size) {
                $days &= ~(1 << $day);
            }
        }

        return $days;
    }

    /** @return array{array<int, int>, array<int, int>, array<int, int>} to come back to */
    public function standing(): array
    {
        return [$this->on, $this->room, $this->places];
    }

    /** @param array{array<int, int>, array<int, int>, array<int, int>} $standing */
    public function restore(array $standing): void
    {
        [$this->on, $this->room, $this->places] = $standing;
    }

    /** The days on which a task that stands nowhere could be met as the plan is; what it waits for stands already. */
    public function firstDays(int $task): int
    {
        $days = $this->open[$task];
        foreach ($this->waiting->later[$task] as $for) {
            $met = $this->on[$for] & -$this->on[$for];
            $days &= $met === 0 ? 0 : ~($met | $met - 1);
        }
        foreach ($this->waiting->notEarlier[$task] as $for) {
            $met = $this->on[$for] & -$this->on[$for];
            $days &= $met === 0 ? 0 : ~($met - 1);
        }
        if ($days !== 0) {
            $days = $this->beforeOthers($task, $days);
        }
        if ($this->neverLast[$task]) {
            $days &= ~(1 << $this->days - 1);
        }

        return $this->withRoom($task, $days, $this->sizeFirst[$task], $this->new[$task]);
    }

    /** Before the first days of what waits for it and stands, after what it must not precede. */
    private function beforeOthers(int $task, int $days): int
    {
        foreach ($this->follow[$task] as $after) {
            $met = $this->on[$after] & -$this->on[$after];
            if ($met !== 0) {
                $days &= in_array($task, $this->waiting->later[$after], true) ? $met - 1 : $met | $met - 1;
            }
        }
        foreach ($this->before[$task] as $preparation) {
            $on = $this->on[$preparation];
            if ($on !== 0) {
                $days &= ~(self::last($on) - 1);
            }
        }
        foreach ($this->waiting->together[$task] as $together) {
            $met = $this->on[$together] & -$this->on[$together];
            $days &= $met === 0 ? -1 : $met | $met - 1;
        }
        foreach ($this->waiting->glances[$task] as $glance) {
            $days &= $this->on[$glance] === 0 ? -1 : ~($this->on[$glance] - 1);
        }
        if ($this->tasks[$task]->class === TaskClass::Glance) {
            foreach ($this->waiting->glances as $other => $glances) {
                $met = $this->on[$other] & -$this->on[$other];
                $days &= $met === 0 || ! in_array($task, $glances, true) ? -1 : $met | $met - 1;
            }
        }

        return $days;
    }

    /** Further days on which a task could stand that stands already. */
    public function moreDays(int $task): int
    {
        $on = $this->on[$task];
        $count = self::count($on);
        if (! isset($this->gains[$task][$count]) || ($count + $this->tasks[$task]->practised > 1 && $this->theoryWaits($task))) {
            return 0;
        }
        $first = $on & -$on;
        $days = $this->open[$task] & ~$on & ~($first - 1);
        foreach ($this->waiting->together[$task] as $together) {
            $met = $this->on[$together] & -$this->on[$together];
            $days &= $met === 0 ? -1 : $met | $met - 1;
        }

        $days = $this->withRoom($task, $days, $this->size[$task], false);

        // Before a day that is locked it may be met as if it stood nowhere yet.
        return ($this->locked[$task] & $first) === 0 ? $days : $days | $this->firstDays($task) & ($first - 1);
    }

    /** Theory stands once before anything has its third day (rule 8); a performance goes before it. */
    private function theoryWaits(int $task): bool
    {
        if ($this->tasks[$task]->performed) {
            return false;
        }
        foreach ($this->theory as $theory) {
            if ($this->on[$theory] === 0 && $theory !== $task) {
                return true;
            }
        }

        return false;
    }

    private function withRoom(int $task, int $days, int $size, bool $isNew): int
    {
        $takes = $this->takes[$task];
        for ($left = $days; $left !== 0; $left &= $left - 1) {
            $bit = $left & -$left;
            $day = $this->dayOf[$bit];
            if ($this->room[$day] < $size || ($takes && $this->places[$day] < 1) || ($isNew && ! $this->bearsNew($task, $bit))) {
                $days ^= $bit;
            }
        }

        return $days;
    }

    /** Whether a task may be met on a day, by the new things there (rule 5). */
    private function bearsNew(int $task, int $bit): bool
    {
        if (! isset($this->fresh[$task])) {
            return true;
        }
        $class = $this->fresh[$task][0];
        $before = $this->on[$task];
        $this->on[$task] = $bit;
        $bears = $this->newOn($bit) <= $this->mostNew;
        // What is the first playing of its page now may have taken that from a later day.
        if ($bears && $class === TaskClass::Playing && $this->page[$task] >= 0 && ! $this->tasks[$task]->begun) {
            foreach ($this->toBegin[$this->page[$task]] ?? [] as $other) {
                $met = $this->on[$other] & -$this->on[$other];
                $bears = $bears && ($met <= $bit || $this->newOn($met) <= $this->mostNew);
            }
        }
        $this->on[$task] = $before;

        return $bears;
    }

    /** New things met on a day: of a page its preparation and first playing are one together; of remedies one is none. */
    public function newOn(int $bit): int
    {
        $preparation = [];
        $playing = [];
        $remedies = 0;
        $count = 0;
        foreach ($this->fresh as $task => [$class, $page]) {
            $on = $this->on[$task];
            if ($on === 0 || ($on & -$on) !== $bit) {
                continue;
            }
            if ($class === TaskClass::Playing) {
                $count++;
                $playing[$page] = true;
            } elseif ($class === TaskClass::Preparation) {
                $preparation[$page] = true;
            } else {
                $remedies++;
            }
        }
        foreach ($preparation as $page => $_) {
            $count += isset($playing[$page]) && $this->begins($page, $bit) ? 0 : 1;
        }

        return $count + ($remedies > 1 ? $remedies - 1 : 0);
    }

    /** The page is not begun, and on this day its playing is met first. */
    private function begins(int $page, int $bit): bool
    {
        if (! isset($this->toBegin[$page])) {
            return false;
        }
        foreach ($this->toBegin[$page] as $task) {
            $on = $this->on[$task];
            if ($on !== 0 && ($on & -$on) < $bit) {
                return false;
            }
        }

        return true;
    }

    /** What a task may ask for: some playing of its page, where the page is new (rule 3). */
    public function isOrphan(int $task): bool
    {
        $playing = $this->waiting->playing[$task];
        foreach ($playing as $of) {
            if ($this->on[$of] !== 0) {
                return false;
            }
        }

        return $playing !== [];
    }

    /** @return int pages that are not begun though there is a day to play them on: the first week of a page has playing in it */
    public function notBegun(): int
    {
        $pages = 0;
        foreach ($this->toBegin as $tasks) {
            $isBegun = false;
            foreach ($tasks as $task) {
                $isBegun = $isBegun || $this->on[$task] !== 0;
            }
            $pages += $isBegun ? 0 : 1;
        }

        return $pages;
    }

    /** It waits for something that stands nowhere. */
    public function waitsInVain(int $task): bool
    {
        foreach ($this->waiting->of($task) as $of) {
            if ($this->on[$of] === 0) {
                return true;
            }
        }

        return false;
    }

    public function put(int $task, int $day): void
    {
        $on = $this->on[$task];
        $first = $on & -$on;
        $bit = 1 << $day;
        if ($first === 0) {
            $this->room[$day] -= $this->sizeFirst[$task];
        } elseif ($bit < $first) {
            $this->room[$day] -= $this->sizeFirst[$task];
            $this->room[$this->dayOf[$first]] += $this->sizeFirst[$task] - $this->size[$task];
        } else {
            $this->room[$day] -= $this->size[$task];
        }
        $this->on[$task] = $on | $bit;
        if ($this->takes[$task]) {
            $this->places[$day]--;
        }
    }

    /**
     * Keeps tasks on the days that they stand on.
     *
     * @param  list<int>  $tasks
     */
    public function lock(array $tasks): void
    {
        foreach ($tasks as $task) {
            $this->locked[$task] |= $this->on[$task];
        }
    }

    public function lift(int $task, int $day): void
    {
        $on = $this->on[$task];
        $bit = 1 << $day;
        $rest = $on & ~$bit;
        if (($on & -$on) === $bit) {
            $this->room[$day] += $this->sizeFirst[$task];
            if ($rest !== 0) {
                $this->room[self::dayAt($rest, 0)] -= $this->sizeFirst[$task] - $this->size[$task];
            }
        } else {
            $this->room[$day] += $this->size[$task];
        }
        $this->on[$task] = $rest;
        if ($this->takes[$task]) {
            $this->places[$day]++;
        }
    }

    /** Takes a task off all its days but the locked ones. What then breaks a rule is taken off by settle(). */
    public function drop(int $task): void
    {
        for ($days = $this->on[$task] & ~$this->locked[$task]; $days !== 0; $days &= $days - 1) {
            $this->lift($task, self::dayAt($days, 0));
        }
    }

    /** Takes off what the rules no longer let stand, locks aside, until nothing has to go. */
    public function settle(): void
    {
        do {
            $gone = false;
            foreach ($this->on as $task => $on) {
                if ($on === 0 || ($on & ~$this->locked[$task]) === 0) {
                    continue;
                }
                if (! $this->mayStand($task)) {
                    $this->drop($task);
                    $gone = true;
                } elseif ($this->theory !== [] && $this->theoryWaits($task)) {
                    $this->atMostTwice($task);
                }
            }
        } while ($gone);
    }

    /** Theory that stands nowhere leaves no task a third day. */
    private function atMostTwice(int $task): void
    {
        $days = $this->on[$task];
        for ($at = $this->tasks[$task]->practised; $days !== 0; $days &= $days - 1, $at++) {
            if ($at > 1 && ($this->locked[$task] & $days & -$days) === 0) {
                $this->lift($task, self::dayAt($days, 0));
            }
        }
    }

    private function mayStand(int $task): bool
    {
        $on = $this->on[$task];
        $first = $on & -$on;
        foreach ($this->waiting->later[$task] as $for) {
            $met = $this->on[$for] & -$this->on[$for];
            if ($met === 0 || $met >= $first) {
                return false;
            }
        }
        foreach ($this->waiting->notEarlier[$task] as $for) {
            $met = $this->on[$for] & -$this->on[$for];
            if ($met === 0 || $met > $first) {
                return false;
            }
        }
        foreach ($this->waiting->together[$task] as $together) {
            $met = $this->on[$together] & -$this->on[$together];
            if ($met !== 0 && $met < self::last($on)) {
                return false;
            }
        }
        foreach ($this->waiting->glances[$task] as $glance) {
            if ($this->on[$glance] > $first) {
                return false;
            }
        }
        if ($this->twice[$task] && ($on & $on - 1) === 0) {
            return false;
        }
        if ($this->neverLast[$task] && $first === 1 << $this->days - 1) {
            return false;
        }
        if (self::count($on) > count($this->gains[$task])) {
            return false;
        }
        if ($this->new[$task]) {
            if ($this->newOn($first) > $this->mostNew) {
                return false;
            }
        }

        return ! $this->isOrphan($task);
    }

    /** Two tasks that wait for no other change places, where the days have the time and nothing is locked. */
    public function exchange(int $one, int $other): bool
    {
        [$a, $b] = [$this->on[$one], $this->on[$other]];
        $isFree = ($this->locked[$one] | $this->locked[$other]) === 0 && ($b & ~$this->open[$one] | $a & ~$this->open[$other]) === 0;
        if (! $isFree || self::count($b) > count($this->gains[$one]) || self::count($a) > count($this->gains[$other])) {
            return false;
        }
        $standing = $this->standing();
        $this->drop($one);
        $this->drop($other);
        foreach ([[$one, $b], [$other, $a]] as [$task, $days]) {
            for (; $days !== 0; $days &= $days - 1) {
                $this->put($task, self::dayAt($days, 0));
            }
        }
        if ($this->fits()) {
            return true;
        }
        $this->restore($standing);

        return false;
    }

    /** The board keeps to the times and numbers of every day. */
    public function fits(): bool
    {
        return min($this->room === [] ? [0] : $this->room) >= 0 && min($this->places === [] ? [0] : $this->places) >= 0;
    }

    /** Half minutes that one day at least has for the playing of a new page. */
    public static function canBegin(Week $week): bool
    {
        $warm = WarmUpTime::byDate($week);
        foreach ($week->days as $day) {
            if ($day->halfMinutes - ($warm[$day->date] ?? 0) >= self::ROOM_FOR_PLAYING) {
                return true;
            }
        }

        return false;
    }

    /** What the plan is worth, in eighths. */
    public function eighths(): int
    {
        $sum = 0;
        foreach ($this->on as $task => $days) {
            for ($at = 0; $days !== 0; $days &= $days - 1, $at++) {
                $sum += $this->gains[$task][$at] ?? 0;
            }
        }

        return $sum;
    }

    public static function last(int $days): int
    {
        while (($days & $days - 1) !== 0) {
            $days &= $days - 1;
        }

        return $days;
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
        $bit = $days & -$days;
        $day = 0;
        if ($bit >= 1 << 16) {
            $day = 16;
            $bit >>= 16;
        }
        if ($bit >= 1 << 8) {
            $day += 8;
            $bit >>= 8;
        }
        while ($bit > 1) {
            $bit >>= 1;
            $day++;
        }

        return $day;
    }
}
