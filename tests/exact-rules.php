<?php

declare(strict_types=1);

use App\Demo\InventedWeeks;
use Nasturtium\Core\Formats\WeekFile;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\Planning\WeekBoard;
use Nasturtium\Core\Practice\Planning\WeekPlanner;

/*
 * An invented week for bin/exact-weeks.mjs: the week, the minutes of its days without the warm-up, which tasks stand on
 * two days, and which may not stand on the last one alone. What waits for what the solver finds for itself.
 */

require dirname(__DIR__).'/vendor/autoload.php';

$all = [];
for ($seed = 1; $seed <= (int) ($argv[1] ?? 60); $seed++) {
    $week = InventedWeeks::make($seed);
    $board = new WeekBoard(new Week(
        $week->days,
        array_map(
            static fn ($task) => new PlanTask($task->id, $task->class, $task->halfMinutes, $task->waitsFor, $task->isNew, $task->starred, $task->idleDays, off: $task->off, practised: $task->practised, mostDays: $task->mostDays, worth: $task->worth, page: $task->page, begun: $task->begun, older: $task->older, halfMinutesFirst: $task->halfMinutesFirst),
            $week->tasks,
        ),
        $week->mostNew,
        $week->until,
        $week->mostTasks,
    ));
    $withLocks = new WeekBoard($week);
    $all[$seed] = [
        'week' => json_decode(WeekFile::writeWeek($week), true, flags: JSON_THROW_ON_ERROR),
        'room' => $board->room,
        'gains' => $withLocks->gains,
        'open' => $withLocks->open,
        'locked' => $withLocks->locked,
        'twice' => $withLocks->twice,
        'neverLast' => $withLocks->neverLast,
        'canBegin' => WeekBoard::canBegin($week),
        'planned' => WeekPlanner::propose($week)->eighths,
    ];
}
echo json_encode($all, JSON_THROW_ON_ERROR), "\n";
