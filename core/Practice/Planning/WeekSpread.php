<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/** Makes a filled week kind, at the same sum: days of like length, a task's days apart, the longest rested review first. */
final readonly class WeekSpread
{
    /** What two days in a row cost, in squares of the task's time: more than a day that has the task too much. */
    private const IN_A_ROW = 3;

    private const PASSES = 4;

    public function __construct(private WeekBoard $board) {}

    public function even(): void
    {
        $this->rotate();
        for ($pass = 0; $pass < self::PASSES && $this->moved(); $pass++) {
            // Each pass moves what the one before has made room for.
        }
    }

    /** Reviews of one value come by how long they rested, where their time and the days they are wanted on allow (rule 8). */
    private function rotate(): void
    {
        $tasks = $this->board->tasks;
        $reviews = array_keys(array_filter($tasks, static fn (PlanTask $task): bool => $task->class === TaskClass::Review && $task->practised === 0));
        usort($reviews, static fn (int $a, int $b): int => $tasks[$b]->idleDays <=> $tasks[$a]->idleDays ?: $a <=> $b);
        foreach ($reviews as $at => $rested) {
            foreach (array_slice($reviews, $at + 1) as $fresher) {
                if ($tasks[$fresher]->idleDays < $tasks[$rested]->idleDays && ($this->board->stood[$rested] | $this->board->stood[$fresher]) === 0 && $this->comesFirst($fresher, $rested)) {
                    $this->board->exchange($rested, $fresher);
                }
            }
        }
    }

    private function comesFirst(int $fresher, int $rested): bool
    {
        [$a, $b] = [$this->board->on[$fresher], $this->board->on[$rested]];
        [$more, $less] = [WeekBoard::count($a), WeekBoard::count($b)];

        return $this->board->tasks[$fresher]->value() === $this->board->tasks[$rested]->value()
            && ($more > $less || ($more === $less && $more > 0 && ($a & -$a) < ($b & -$b)));
    }

    private function moved(): bool
    {
        $moved = false;
        foreach (array_keys($this->board->tasks) as $task) {
            for ($from = 0; $from < $this->board->days; $from++) {
                $moved = ($this->canMove($task, $from) && $this->move($task, $from)) || $moved;
            }
        }

        return $moved;
    }

    /** What is met first stays early; what stood there before a change stays. */
    private function canMove(int $task, int $from): bool
    {
        $loose = $this->board->on[$task] & ~$this->board->locked[$task] & ~$this->board->stood[$task];
        $isFirst = ($this->board->on[$task] & -$this->board->on[$task]) === 1 << $from;
        $isAlone = ($this->board->on[$task] & $this->board->on[$task] - 1) === 0;

        return ($loose >> $from & 1) === 1 && (! $isFirst || ($isAlone && in_array($this->board->tasks[$task]->class, [TaskClass::Review, TaskClass::Theory, TaskClass::Drill, TaskClass::Sight], true)))
            && ! $this->board->tasks[$task]->performed;
    }

    private function move(int $task, int $from): bool
    {
        $size = $this->board->size[$task];
        $room = $this->board->room;
        $this->board->lift($task, $from);
        $rest = $this->board->on[$task];
        $best = $from;
        $least = $this->inARow($rest, $from) * $size * $size;
        for ($days = $rest === 0 ? $this->board->firstDays($task) : $this->board->moreDays($task); $days !== 0; $days &= $days - 1) {
            $to = WeekBoard::dayAt($days, 0);
            if ($to === $from) {
                continue;
            }
            $cost = 2 * $size * ($room[$from] - $room[$to] + $size) + $this->inARow($rest, $to) * $size * $size;
            if ($cost < $least) {
                [$best, $least] = [$to, $cost];
            }
        }
        $this->board->put($task, $best);

        return $best !== $from;
    }

    private function inARow(int $rest, int $day): int
    {
        return self::IN_A_ROW * WeekBoard::count($rest & (1 << $day << 1 | 1 << $day >> 1));
    }
}
