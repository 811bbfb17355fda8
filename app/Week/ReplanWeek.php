<?php

declare(strict_types=1);

namespace App\Week;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\Planning\Plan;
use Nasturtium\Core\Practice\Planning\WeekPlanner;

/**
 * Plans what is left of a week over the days that are left; days that are over, and what was practised today, stay as they were.
 * What a teacher has locked stays whatever it does to a day: only her own change is held against the rules (SaveWeek).
 */
final class ReplanWeek
{
    /** @param bool $afterMissed days were missed */
    public function __invoke(Week $week, CarbonImmutable $today, bool $afterMissed = false): void
    {
        DB::transaction(function () use ($week, $today, $afterMissed): void {
            $week->refresh()->load(WeekDays::FOR_PLANNER);
            $plan = WeekPlanner::propose(WeekDays::forPlanner($week, $today, $afterMissed));
            $this->write($week, $plan, $today->toDateString());
            $week->update(['planned_on' => $today]);
            CountWeeks::of([$week->id]);
        });
        $week->refresh();
    }

    private function write(Week $week, Plan $plan, string $today): void
    {
        $planned = [];
        foreach ($plan->days as $date => $ids) {
            foreach ($ids as $position => $id) {
                $planned[(int) $id][$date] = $position;
            }
        }
        $gone = [];
        $new = [];
        foreach ($week->tasks as $task) {
            foreach ($task->days as $day) {
                $date = $day->on_date->toDateString();
                $position = $planned[$task->id][$date] ?? null;
                if ($date < $today || ($date === $today && WeekDays::practisedOn($task, $today))) {
                    continue;
                }
                if ($position === null) {
                    $gone[] = $day->id;
                } elseif ($day->position !== $position) {
                    $day->update(['position' => $position]);
                }
                unset($planned[$task->id][$date]);
            }
            foreach ($planned[$task->id] ?? [] as $date => $position) {
                $new[] = ['studio_id' => $week->studio_id, 'task_id' => $task->id, 'on_date' => $date, 'position' => $position];
            }
            $task->update(['left_why' => $plan->left[(string) $task->id] ?? (in_array((string) $task->id, $plan->next, true) ? WeekPlanner::NEXT : null)]);
        }
        TaskDay::query()->whereKey($gone)->delete();
        TaskDay::query()->insert($new);
    }
}
