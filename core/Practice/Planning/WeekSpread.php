<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskKind;

/** Makes a filled week kind, at the same sum: days of like length, a task's days apart, the longest rested review first. */
final readonly class WeekSpread
{
    /** What two days in a row cost, in squares of the task's time: more than a day that has the task too much. */
    private const IN_A_ROW = 3;

    private const PASSES = 4;

    /** @param list<PlanTask> $tasks */
    public function __construct(private WeekBoard $board, private array $tasks) {}

    public function even(): void
    {
        $this->rotate();
        for ($pass = 0; $pass < self::PASSES && $this->moved(); $pass++) {
            // Each pass moves what the one before has made room for.
        }
    }

    /** Reviews of one value come by how long they rested, where their time allows (rule 6). */
    private function rotate(): void
    {
        $reviews = array_keys(array_filter($this->tasks, fn (PlanTask $task): bool => $task->kind === TaskKind::Review && $task->practised === 0));
        usort($reviews, fn (int $a, int $b): int => $this->tasks[$b]->idleDays <=> $this->tasks[$a]->idleDays);
        foreach ($reviews as $at => $rested) {
            foreach (array_slice($reviews, $at + 1) as $fresher) {
                if ($this->tasks[$fresher]->idleDays < $this->tasks[$rested]->idleDays && ($this->board->stood[$rested] | $this->board->stood[$fresher]) === 0 && $this->comesFirst($fresher, $rested)) {
                    $this->board->exchange($rested, $fresher);
                }
            }
        }
    }

    private function comesFirst(int $fresher, int $rested): bool
    {
        [$a, $b] = [$this->board->on[$fresher], $this->board->on[$rested]];
        [$more, $less] = [WeekBoard::count($a), WeekBoard::count($b)];

        return $this->tasks[$fresher]->value() === $this->tasks[$rested]->value()
            && ($more > $less || ($more === $less && $more > 0 && ($a & -$a) < ($b & -$b)));
    }

    private function moved(): bool
    {
        $moved = false;
        foreach (array_keys($this->tasks) as $task) {
            foreach (array_keys($this->board->room) as $from) {
                $to = $this->canMove($task, $from) ? $this->kinder($task, $from) : null;
                if ($to !== null) {
                    $this->board->move($task, $from, $to);
                    $moved = true;
                }
            }
        }

        return $moved;
    }

    /** What is met first, or waited for, stays early; what stood there before a change stays. */
    private function canMove(int $task, int $from): bool
    {
        $loose = $this->board->on[$task] & ~$this->board->locked[$task] & ~$this->board->stood[$task];
        $isFirst = ($this->board->on[$task] & -$this->board->on[$task]) === 1 << $from;

        return ($loose >> $from & 1) === 1 && ! ($isFirst && ($this->tasks[$task]->kind->isWork() || $this->board->follow[$task] !== []));
    }

    private function kinder(int $task, int $from): ?int
    {
        $rest = $this->board->on[$task] & ~(1 << $from);
        $size = $this->board->size[$task];
        $best = null;
        $least = $this->inARow($rest, $from) * $size * $size;
        for ($days = $this->board->free($task); $days !== 0; $days &= $days - 1) {
            $to = WeekBoard::dayAt($days, 0);
            $cost = 2 * $size * ($this->board->room[$from] - $this->board->room[$to] + $size) + $this->inARow($rest, $to) * $size * $size;
            $isEarlier = $to < $from && $this->tasks[$task]->kind->isWork() && 1 << $to < ($this->board->on[$task] & -$this->board->on[$task]);
            if ($cost < $least && ! $isEarlier) {
                [$best, $least] = [$to, $cost];
            }
        }

        return $best;
    }

    private function inARow(int $rest, int $day): int
    {
        return self::IN_A_ROW * WeekBoard::count($rest & (1 << $day << 1 | 1 << $day >> 1));
    }
}
