<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/**
 * The days of tasks that together are worth most (trade 11.2). A first plan is filled by value for its minutes, a task
 * with all that it waits for; then part of it is taken out and filled again, many times over, and the best is kept. Chance
 * is seeded: the same week always gets the same plan.
 */
final class WeekSearch
{
    private const ROUNDS = 1800;

    /** A week of more tasks and days than these is searched in fewer rounds: each of them takes longer. */
    private const USUAL = 20 * 7;

    /** From many starts a little, from the better ones more, from the best the rest: how many, and which part of the rounds. */
    private const HALVING = [[24, 2], [4, 4], [1, 4]];

    /** The part of the rounds in which rest is looked for, after a change. */
    private const FOR_CHANGE = 4;

    private const MOST_STARTS = 40;

    /** In which what is new is met, by chance. */
    private const ORDERS = 60;

    /** An eighth of value, among what decides only between plans of the same sum. */
    private const EIGHTH = 64;

    /** A page that is not begun though it could be: no value makes up for it. */
    private const NOT_BEGUN = 10_000_000;

    /** Of a hundred parts of the sum, what a change may cost so that less is moved. */
    private const FOR_REST = 100;

    /** Eighths that a mark is worth which stays, where rest is looked for before the sum. */
    private const DEAR = 4;

    private int $seed = 20310505;

    /** What is worth most comes first for its minutes, or for the place it takes. */
    private bool $byTime = true;

    /** Of so many days one is chosen by chance alone. */
    private int $wander = 4;

    /** What each day that stands as it stood is worth. */
    private int $kept;

    /** What each day costs that did not stand. */
    private int $moving = 0;

    private readonly bool $canBegin;

    /** @var array<int, list<int>> all that each task waits for */
    private readonly array $needs;

    /** @var list<int> tasks that wait for something */
    private readonly array $waiting;

    /** @var list<int> preparation of new pages */
    private readonly array $prepared;

    public function __construct(private readonly WeekBoard $board, Week $week)
    {
        $stood = 0;
        $most = 0;
        foreach ($board->stood as $task => $days) {
            $stood += WeekBoard::count($days);
            $most += array_sum($board->gains[$task]);
        }
        $this->kept = $stood === 0 ? 0 : max(2, intdiv(self::EIGHTH * $most, self::FOR_REST * $stood));
        $this->canBegin = WeekBoard::canBegin($week);
        $this->needs = array_map($board->waiting->of(...), array_keys($board->on));
        $this->waiting = array_keys(array_filter($this->needs, static fn (array $needs): bool => $needs !== []));
        $this->prepared = array_keys(array_filter($board->waiting->playing, static fn (array $playing): bool => $playing !== []));
    }

    /** @param ?int $rounds of taking out and filling again; none leaves the plan that is filled by value alone */
    public function fillBoard(?int $rounds = null): void
    {
        if ($this->board->days === 0 || $this->board->on === []) {
            return;
        }
        $this->perform();
        $empty = $this->board->standing();
        $starts = $this->starts();
        $this->board->restore($starts[0][1]);
        $rounds ??= $this->within(self::ROUNDS);
        if ($rounds === 0) {
            return;
        }
        foreach (self::HALVING as [$many, $part]) {
            $starts = array_map(function (array $start) use ($many, $rounds, $part): array {
                $this->board->restore($start[1]);
                $this->improve(intdiv($rounds, $part * $many));
                $score = $this->score();

                return $score > $start[0] ? [$score, $this->board->standing()] : $start;
            }, array_slice($starts, 0, $many));
            usort($starts, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        }
        $this->board->restore($starts[0][1]);
        $this->rest($empty, intdiv($rounds, self::FOR_CHANGE));
    }

    private function within(int $most): int
    {
        return intdiv($most * self::USUAL, max(self::USUAL, count($this->board->on) * $this->board->days));
    }

    /**
     * What stood, put back and filled up, is taken where no more than a hundredth of the best sum is lost by it, and nothing
     * of what it came to before.
     *
     * @param  array{array<int, int>, array<int, int>, array<int, int>}  $empty
     */
    private function rest(array $empty, int $rounds): void
    {
        if ($this->kept === 0) {
            return;
        }
        $best = $this->board->standing();
        [$sum, $notBegun] = [$this->board->eighths(), $this->board->notBegun()];
        $kept = $this->kept;
        // First with nothing new that is worth less than it moves, then with all that fits.
        foreach ([self::DEAR * 8, self::DEAR * 2, self::DEAR, 0] as $moving) {
            $this->board->restore($empty);
            $this->putBack();
            $least = max($this->board->eighths(), intdiv($sum * (self::FOR_REST - 1) + self::FOR_REST - 1, self::FOR_REST));
            [$this->kept, $this->moving] = [self::DEAR * self::EIGHTH, $moving * self::EIGHTH];
            $this->fill(false);
            $this->improve(intdiv($rounds, 2));
            $this->thin();
            [$this->kept, $this->moving] = [$kept, 0];
            if ($this->board->eighths() >= $least && $this->board->notBegun() <= $notBegun) {
                return;
            }
        }
        $this->board->restore($best);
    }

    /** What is worth less than it moves is taken off again, the last days first. */
    private function thin(): void
    {
        if ($this->moving === 0) {
            return;
        }
        $score = $this->score();
        foreach ($this->board->on as $task => $on) {
            $fresh = $on & ~$this->board->stood[$task] & ~$this->board->locked[$task];
            for ($day = $this->board->days - 1; $day >= 0; $day--) {
                if (($fresh >> $day & 1) === 0) {
                    continue;
                }
                $standing = $this->board->standing();
                $this->takeOff($task, $day);
                $this->board->settle();
                $now = $this->score();
                if ($now > $score) {
                    $score = $now;
                } else {
                    $this->board->restore($standing);
                }
            }
        }
    }

    /**
     * Plans to start from, the best first: filled by value; each chain first; each two, one after the other; what is new in
     * other orders; what stood before.
     *
     * @return non-empty-list<array{int, array{array<int, int>, array<int, int>, array<int, int>}}> with their scores
     */
    private function starts(): array
    {
        $empty = $this->board->standing();
        $goals = [[]];
        $tops = array_values(array_filter($this->waiting, fn (int $task): bool => ! in_array($task, array_merge(...$this->needs), true)));
        foreach ($tops as $goal) {
            foreach ([[], ...array_map(static fn (int $other): array => [$other], array_values(array_diff($tops, [$goal])))] as $others) {
                $goals[] = [$goal, ...$others];
            }
        }
        foreach (array_diff($this->waiting, $tops) as $goal) {
            $goals[] = [$goal];
        }
        $starts = [];
        foreach (array_slice($goals, 0, 1 + $this->within(self::MOST_STARTS)) as $of) {
            $this->board->restore($empty);
            foreach ($of as $goal) {
                $this->place($goal, false);
            }
            $this->fill(false);
            $starts[] = [$this->score(), $this->board->standing()];
        }
        for ($order = 0; $order < $this->within(self::ORDERS); $order++) {
            $this->board->restore($empty);
            $this->meetInAnotherOrder();
            $this->fill(false);
            $starts[] = [$this->score(), $this->board->standing()];
        }
        if ($this->kept > 0) {
            $this->board->restore($empty);
            $this->putBack();
            $this->fill(false);
            $starts[] = [$this->score(), $this->board->standing()];
        }
        usort($starts, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $starts ?: throw new \LogicException('the plan that is filled by value is always tried');
    }

    /** What is played at a concert soon stands on every day that has the time; in turn where not all of it fits. */
    private function perform(): void
    {
        $performed = array_keys(array_filter($this->board->tasks, static fn (PlanTask $task): bool => $task->performed));
        usort($performed, fn (int $a, int $b): int => $this->board->size[$a] <=> $this->board->size[$b] ?: $a <=> $b);
        for ($day = 0; $day < $this->board->days; $day++) {
            // The run stands every day, the pieces take turns where they have to.
            usort($performed, fn (int $a, int $b): int => [! $this->board->tasks[$a]->isRun(), WeekBoard::count($this->board->on[$a])] <=> [! $this->board->tasks[$b]->isRun(), WeekBoard::count($this->board->on[$b])]);
            foreach ($performed as $task) {
                $days = $this->board->on[$task] === 0 ? $this->board->firstDays($task) : $this->board->moreDays($task);
                if (($days >> $day & 1) === 1) {
                    $this->board->put($task, $day);
                }
            }
        }
        $this->board->lock($performed);
    }

    /** What stood before a change stands again, as far as the rules let it. */
    private function putBack(): void
    {
        do {
            $put = false;
            foreach ($this->board->stood as $task => $stood) {
                $days = $stood & ~$this->board->on[$task];
                while ($days !== 0) {
                    $free = $days & ($this->board->on[$task] === 0 ? $this->board->firstDays($task) : $this->board->moreDays($task));
                    if ($free === 0) {
                        break;
                    }
                    $day = WeekBoard::dayAt($free, 0);
                    $this->board->put($task, $day);
                    $days &= ~(1 << $day);
                    $put = true;
                }
            }
        } while ($put);
        $this->board->settle();
    }

    private function improve(int $rounds): void
    {
        $most = $this->most();
        $score = $this->score();
        [$best, $bestScore] = [$this->board->standing(), $score];
        $kept = $best;
        for ($round = 0; $round < $rounds && $bestScore < $most; $round++) {
            $this->takeOut();
            $this->board->settle();
            $this->fill(true);
            $now = $this->score();
            // A worse plan is a way to a better one, as long as there are rounds left to find it.
            if ($now > $score - intdiv(8 * self::EIGHTH * ($rounds - $round), $rounds) * ($this->chance(3) === 0 ? 1 : 0)) {
                $score = $now;
                $kept = $this->board->standing();
                if ($now > $bestScore) {
                    [$best, $bestScore] = [$kept, $now];
                }
            } else {
                $this->board->restore($kept);
            }
        }
        $this->board->restore($best);
    }

    /** Nothing can be worth more than every task on as many days as count. */
    private function most(): int
    {
        $most = 0;
        foreach ($this->board->gains as $task => $gains) {
            $most += self::EIGHTH * array_sum($gains) + $this->kept * WeekBoard::count($this->board->stood[$task]);
        }

        return $most;
    }

    private function score(): int
    {
        $score = self::EIGHTH * $this->board->eighths() - ($this->canBegin ? self::NOT_BEGUN * $this->board->notBegun() : 0);
        foreach ($this->board->on as $task => $days) {
            if ($days !== 0) {
                $score += $this->kept * WeekBoard::count($days & $this->board->stood[$task]) - ($this->moving === 0 ? 0 : $this->moving * WeekBoard::count($days & ~$this->board->stood[$task]));
                // Of two plans of the same sum, the one that meets new things earlier.
                if ($this->board->new[$task] || $this->board->tasks[$task]->class === TaskClass::Remedy) {
                    $score -= WeekBoard::dayAt($days, 0);
                }
            }
        }

        return $score;
    }

    private function takeOut(): void
    {
        match ($this->chance(8)) {
            0 => $this->emptyDay($this->chance($this->board->days)),
            1 => $this->takeTasks(1 + $this->chance(3)),
            2, 3 => $this->makeRoom($this->chance(count($this->board->on))),
            4 => $this->takeTasks(2 + $this->chance(4)),
            5 => $this->goFor($this->chance(count($this->board->on))),
            6 => $this->startElsewhere(),
            default => $this->takeDays(1 + $this->chance(4)),
        };
    }

    private function emptyDay(int $day): void
    {
        foreach (array_keys($this->board->on) as $task) {
            if ($this->isLoose($task, $day) && $this->chance(4) > 0) {
                $this->takeOff($task, $day);
            }
        }
    }

    private function takeTasks(int $times): void
    {
        while ($times-- > 0) {
            $this->board->drop($this->chance(count($this->board->on)));
        }
    }

    private function takeDays(int $times): void
    {
        while ($times-- > 0) {
            $task = $this->chance(count($this->board->on));
            $loose = $this->board->on[$task] & ~$this->board->locked[$task];
            if ($loose !== 0) {
                $this->takeOff($task, WeekBoard::dayAt($loose, $this->chance(WeekBoard::count($loose))));
            }
        }
    }

    /** The first day of a task goes with the others, which rest on it. */
    private function takeOff(int $task, int $day): void
    {
        $on = $this->board->on[$task];
        if (($on & -$on) === 1 << $day) {
            $this->board->drop($task);
        } else {
            $this->board->lift($task, $day);
        }
    }

    /** A chain begins on other days. */
    private function startElsewhere(): void
    {
        if ($this->waiting === []) {
            $this->takeTasks(3);

            return;
        }
        $goal = $this->waiting[$this->chance(count($this->waiting))];
        $this->board->drop($goal);
        foreach ($this->needs[$goal] as $for) {
            $this->board->drop($for);
            foreach ($this->needs[$for] as $before) {
                $this->board->drop($before);
            }
        }
        $this->takeDays($this->chance(4));
        $this->board->settle();
        $this->wander = 2;
        $this->place($goal, true);
        $this->wander = 4;
    }

    /** All that is new is met in another order: where a day bears one new thing, that order is most of the plan. */
    private function meetInAnotherOrder(): void
    {
        $new = [];
        foreach ($this->board->new as $task => $isNew) {
            if ($isNew && $this->board->tasks[$task]->class === TaskClass::Playing) {
                $this->board->drop($task);
                $new[] = $task;
            }
        }
        foreach (array_keys($this->board->on) as $task) {
            if ($this->chance(2) === 0) {
                $this->board->drop($task);
            }
        }
        $this->board->settle();
        while ($new !== []) {
            $at = $this->chance(count($new));
            // What waits for another comes after it.
            foreach ($this->needs[$new[$at]] as $for) {
                $before = array_search($for, $new, true);
                $at = $before === false ? $at : $before;
            }
            $this->place($new[$at], false);
            array_splice($new, $at, 1);
        }
    }

    /** A task is placed first, with all that it waits for, and much of the rest after it. */
    private function goFor(int $goal): void
    {
        if (! isset($this->board->gains[$goal][0])) {
            return;
        }
        $of = 2 + $this->chance(4);
        foreach (array_keys($this->board->on) as $task) {
            if ($this->chance($of) > 0) {
                $this->board->drop($task);
            }
        }
        $this->board->drop($goal);
        $this->board->settle();
        $this->place($goal, true);
    }

    /** A task that found no room, or not enough, gets the time of others, with all that it waits for. */
    private function makeRoom(int $task): void
    {
        $count = WeekBoard::count($this->board->on[$task]);
        if (! isset($this->board->gains[$task][$count])) {
            return;
        }
        $needs = [$task];
        for ($at = 0; isset($needs[$at]); $at++) {
            foreach ($this->needs[$needs[$at]] as $for) {
                if ($this->board->on[$for] === 0 && ! in_array($for, $needs, true)) {
                    $needs[] = $for;
                }
            }
        }
        foreach ($needs as $one) {
            $times = $this->board->twice[$one] && $this->board->on[$one] === 0 ? 2 : 1;
            while ($times-- > 0) {
                $day = $this->chance($this->board->days);
                $from = $this->chance(count($this->board->on));
                for ($step = 0; $step < count($this->board->on) && $this->board->room[$day] < $this->board->sizeFirst[$one]; $step++) {
                    $other = ($from + $step) % count($this->board->on);
                    if (! in_array($other, $needs, true) && $this->isLoose($other, $day)) {
                        $this->takeOff($other, $day);
                    }
                }
            }
        }
        $this->board->settle();
        $this->place($task, true);
    }

    private function isLoose(int $task, int $day): bool
    {
        return ($this->board->on[$task] >> $day & 1) === 1 && ($this->board->locked[$task] >> $day & 1) === 0;
    }

    private function fill(bool $withChance): void
    {
        $open = array_keys($this->board->gains);
        // What is short may be minutes, or the number of tasks and of new things a day.
        $this->byTime = ! $withChance || $this->chance(3) > 0;
        do {
            $order = [];
            $room = max([0, ...$this->board->room]);
            foreach ($open as $task) {
                $on = $this->board->on[$task];
                $count = $on === 0 ? 0 : WeekBoard::count($on);
                if (isset($this->board->gains[$task][$count]) && $this->board->size[$task] <= $room) {
                    $order[$task] = $this->density($task, $count) * ($withChance ? 64 + $this->chance(64) : 1);
                }
            }
            arsort($order);
            $placed = [];
            foreach ($order as $task => $_) {
                if ($this->place($task, $withChance)) {
                    $placed[] = $task;
                }
            }
            // What found no room finds none while the others only take more; what prepares a page comes with its playing.
            $open = $placed === [] ? [] : array_values(array_unique([...$placed, ...$this->prepared]));
        } while ($placed !== []);
    }

    /** What a task is worth for its time, with all that it needs and that does not stand yet. */
    private function density(int $task, int $count): int
    {
        if ($count > 0) {
            return intdiv($this->board->gains[$task][$count] * 1024, $this->byTime ? $this->board->size[$task] : 8);
        }
        $twice = $this->board->twice[$task];
        $gain = $this->board->gains[$task][0] + ($twice ? $this->board->gains[$task][1] ?? 0 : 0);
        $size = ($this->byTime ? $this->board->size[$task] : 8) * ($twice ? 2 : 1);
        foreach ($this->needs[$task] as $for) {
            if ($this->board->on[$for] === 0) {
                $gain += $this->board->gains[$for][0] ?? 0;
                $size += $this->byTime ? $this->board->size[$for] : 8;
            }
        }

        return intdiv($gain * 1024, max(1, $size));
    }

    private function place(int $task, bool $withChance): bool
    {
        if ($this->board->on[$task] !== 0) {
            $days = $this->board->moreDays($task);
            if ($days === 0) {
                return false;
            }
            $this->board->put($task, $this->choose($task, $days, $withChance));

            return true;
        }
        // Preparation of a new page comes with the playing that waits for it.
        if ($this->board->isOrphan($task)) {
            return false;
        }
        $standing = $this->board->standing();
        if (! $this->placeWithNeeds($task, $withChance, [])) {
            $this->board->restore($standing);

            return false;
        }

        return true;
    }

    /** @param list<int> $waiting tasks for which this one is placed */
    private function placeWithNeeds(int $task, bool $withChance, array $waiting): bool
    {
        if (($this->board->gains[$task][0] ?? 0) === 0 || in_array($task, $waiting, true)) {
            return false;
        }
        foreach ($this->needs[$task] as $for) {
            if ($this->board->on[$for] === 0 && ! $this->placeWithNeeds($for, $withChance, [...$waiting, $task])) {
                return false;
            }
        }
        $days = $this->board->firstDays($task);
        if ($days === 0) {
            return false;
        }
        $this->board->put($task, $this->choose($task, $days, $withChance));
        if ($this->board->twice[$task]) {
            $days = $this->board->moreDays($task);
            if ($days === 0) {
                return false;
            }
            $this->board->put($task, $this->choose($task, $days, $withChance));
        }

        return true;
    }

    /** What is met first, or waited for, comes early; the rest fills the day that it leaves least room on. */
    private function choose(int $task, int $days, bool $withChance): int
    {
        if (($days & $days - 1) === 0) {
            return WeekBoard::dayAt($days, 0);
        }
        if ($withChance && $this->chance($this->wander) === 0) {
            return WeekBoard::dayAt($days, $this->chance(WeekBoard::count($days)));
        }
        if ($this->board->on[$task] === 0 && ($this->board->new[$task] || $this->board->tasks[$task]->class !== TaskClass::Review)) {
            return WeekBoard::dayAt($days, 0);
        }
        $best = -1;
        foreach ($this->board->room as $day => $room) {
            if (($days >> $day & 1) === 1 && ($best < 0 || $room < $this->board->room[$best])) {
                $best = $day;
            }
        }

        return $best;
    }

    /** A number below another. */
    private function chance(int $below): int
    {
        $this->seed = $this->seed * 1103515245 + 12345 & 0x7FFFFFFF;

        return ($this->seed >> 8) % $below;
    }
}
