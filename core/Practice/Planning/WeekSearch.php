<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/**
 * The days of tasks that together are worth most (trade 11.2). A first plan is filled by value for its minutes; then
 * part of it is taken out and filled again, many times over, and the best is kept. Chance is seeded: the same week
 * always gets the same plan.
 */
final class WeekSearch
{
    private const ROUNDS = 1100;

    /** A quarter of value, among what decides only between plans of the same sum. */
    private const QUARTER = 64;

    /** A task that is locked to a day before what it waits for: no value makes up for it. */
    private const EARLY = 1_000_000;

    /** A day that stands as it stood before a change is worth moving for a quarter of value, not for less. */
    private const KEPT = 15;

    private int $seed = 20310505;

    public function __construct(private readonly WeekBoard $board) {}

    /** @param ?int $rounds of taking out and filling again; none leaves the plan that is filled by value alone */
    public function fillBoard(?int $rounds = null): void
    {
        if ($this->board->room === [] || $this->board->on === []) {
            return;
        }
        $this->fill(false);
        $this->improve($rounds ?? self::ROUNDS);
    }

    private function improve(int $rounds): void
    {
        $most = $this->most();
        $score = $this->score();
        [$best, $bestScore] = [$this->board->standing(), $score];
        $kept = $best;
        for ($round = 0; $round < $rounds && $bestScore < $most; $round++) {
            $this->takeOut();
            $this->fill(true);
            $now = $this->score();
            // A worse plan is a way to a better one, as long as there are rounds left to find it.
            if ($now > $score - intdiv(8 * self::QUARTER * ($rounds - $round), $rounds) * ($this->chance(3) === 0 ? 1 : 0)) {
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
            $most += self::QUARTER * array_sum($gains) + self::KEPT * WeekBoard::count($this->board->stood[$task]);
        }

        return $most;
    }

    private function score(): int
    {
        $score = -self::EARLY * $this->board->early();
        foreach ($this->board->on as $task => $days) {
            if ($days !== 0) {
                $count = WeekBoard::count($days);
                foreach ($this->board->gains[$task] as $at => $gain) {
                    $score += $at < $count ? self::QUARTER * $gain : 0;
                }
                $score += self::KEPT * WeekBoard::count($days & $this->board->stood[$task]);
                // Of two plans of the same sum, the one that meets new things earlier.
                $score -= $this->board->new[$task] && ($days & 3) === 0 ? 1 : 0;
            }
        }

        return $score;
    }

    private function takeOut(): void
    {
        match ($this->chance(5)) {
            0 => $this->emptyDay($this->chance(count($this->board->room))),
            1 => $this->takeTasks(1 + $this->chance(3)),
            2, 3 => $this->makeRoom($this->chance(count($this->board->on))),
            default => $this->takeDays(1 + $this->chance(4)),
        };
    }

    private function emptyDay(int $day): void
    {
        foreach (array_keys($this->board->on) as $task) {
            if ($this->isLoose($task, $day) && $this->chance(4) > 0) {
                $this->board->takeOff($task, $day);
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
                $this->board->takeOff($task, WeekBoard::dayAt($loose, $this->chance(WeekBoard::count($loose))));
            }
        }
    }

    /** A task that found no room, or not enough, gets the time of others. */
    private function makeRoom(int $task): void
    {
        $count = WeekBoard::count($this->board->on[$task]);
        if (! isset($this->board->gains[$task][$count])) {
            return;
        }
        for ($days = $this->board->twice[$task] && $count === 0 ? 2 : 1; $days > 0; $days--) {
            $day = $this->chance(count($this->board->room));
            $from = $this->chance(count($this->board->on));
            for ($step = 0; $step < count($this->board->on) && $this->board->room[$day] < $this->board->size[$task]; $step++) {
                $other = ($from + $step) % count($this->board->on);
                if ($other !== $task && $this->isLoose($other, $day)) {
                    $this->board->takeOff($other, $day);
                }
            }
        }
        $this->place($task, true);
    }

    private function isLoose(int $task, int $day): bool
    {
        return ($this->board->on[$task] >> $day & 1) === 1 && ($this->board->locked[$task] >> $day & 1) === 0;
    }

    private function fill(bool $withChance): void
    {
        do {
            $order = [];
            foreach ($this->board->gains as $task => $gains) {
                $count = WeekBoard::count($this->board->on[$task]);
                $next = $this->board->twice[$task] && $count === 0 ? 2 : 1;
                $gain = array_sum(array_slice($gains, $count, $next));
                if ($gain > 0) {
                    $order[$task] = intdiv($gain * 1024, $next * $this->board->size[$task]) * ($withChance ? 64 + $this->chance(64) : 1);
                }
            }
            arsort($order);
            $placed = false;
            foreach ($order as $task => $_) {
                $placed = $this->place($task, $withChance) || $placed;
            }
        } while ($placed);
    }

    private function place(int $task, bool $withChance): bool
    {
        $days = $this->board->free($task);
        if ($days === 0) {
            return false;
        }
        $second = $this->board->twice[$task] && $this->board->on[$task] === 0;
        $this->board->put($task, $this->choose($task, $days, $withChance));
        if ($second) {
            $days = $this->board->free($task);
            if ($days === 0) {
                $this->board->drop($task);

                return false;
            }
            $this->board->put($task, $this->choose($task, $days, $withChance));
        }

        return true;
    }

    /** What is met first, or waited for, comes early; the rest fills the day that it leaves least room on. */
    private function choose(int $task, int $days, bool $withChance): int
    {
        if ($withChance && $this->chance(4) === 0) {
            return WeekBoard::dayAt($days, $this->chance(WeekBoard::count($days)));
        }
        if ($this->board->on[$task] === 0 && ($this->board->new[$task] || $this->board->follow[$task] !== [])) {
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
