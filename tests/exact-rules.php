<?php

declare(strict_types=1);

use App\Demo\InventedWeeks;
use Nasturtium\Core\Formats\WeekFile;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\WarmUpTime;
use Nasturtium\Core\Practice\Planning\WeekBoard;
use Nasturtium\Core\Practice\Planning\WeekPlanner;

/*
 * Invented weeks for bin/exact-weeks.mjs: the week, the time of its days without the warm-up, which tasks stand on two
 * days, and which may not stand on the last one alone. What waits for what the solver finds for itself.
 */

require dirname(__DIR__).'/vendor/autoload.php';

$all = [];
for ($seed = 1; $seed <= (int) ($argv[1] ?? 60); $seed++) {
    $week = InventedWeeks::make($seed);
    $board = new WeekBoard($week);
    $warm = WarmUpTime::byDate($week);
    $all[$seed] = [
        'week' => json_decode(WeekFile::writeWeek($week), true, flags: JSON_THROW_ON_ERROR),
        'room' => array_map(static fn (PlanDay $day): int => $day->halfMinutes - ($warm[$day->date] ?? 0), $week->days),
        'gains' => $board->gains,
        'open' => $board->open,
        'locked' => $board->locked,
        'twice' => $board->twice,
        'neverLast' => $board->neverLast,
        'canBegin' => WeekBoard::canBegin($week),
        'planned' => WeekPlanner::propose($week)->eighths,
    ];
}
echo json_encode($all, JSON_THROW_ON_ERROR), "\n";
