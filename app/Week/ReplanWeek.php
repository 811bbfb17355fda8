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
    /** A place in the day behind whatever is planned. */
    private const AFTER_ALL = 100;

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
        self::writeDays($week, $plan, $today);
        foreach ($week->tasks as $task) {
            $task->update(['left_why' => $plan->left[(string) $task->id] ?? (in_array((string) $task->id, $plan->next, true) ? WeekPlanner::NEXT : null)]);
        }
    }

    /** The days of a plan, with what each task takes on each and what filling added; those that are over, or practised, stay as they were. */
    public static function writeDays(Week $week, Plan $plan, string $today): void
    {
        $planned = self::planned($plan);
        $gone = $new = [];
        foreach ($week->tasks as $task) {
            foreach ($task->days as $day) {
                $date = $day->on_date->toDateString();
                if ($date < $today || ($date === $today && WeekDays::practisedOn($task, $today))) {
                    unset($planned[$task->id][$date]);

                    continue;
                }
                $as = $planned[$task->id][$date] ?? null;
                if ($as === null) {
                    $gone[] = $day->id;
                } elseif ($day->only(['position', 'half_minutes', 'more']) !== $as) {
                    $day->update($as);
                }
                unset($planned[$task->id][$date]);
            }
            foreach ($planned[$task->id] ?? [] as $date => $as) {
                $new[] = ['studio_id' => $week->studio_id, 'task_id' => $task->id, 'on_date' => $date, ...$as];
            }
        }
        TaskDay::query()->whereKey($gone)->delete();
        TaskDay::query()->insert($new);
    }

    /** @return array<int, array<string, array{position: int, half_minutes: int, more: int}>> by task and date */
    private static function planned(Plan $plan): array
    {
        $planned = [];
        foreach ($plan->days as $date => $ids) {
            foreach ($ids as $position => $id) {
                $planned[(int) $id][$date] = ['position' => $position, 'half_minutes' => $plan->minutes[$date][$id] ?? 0, 'more' => 0];
            }
        }
        foreach ($plan->extra as $at => $extra) {
            // What is planned takes more; what is not comes after it.
            $planned[(int) $extra->id][$extra->date] ??= ['position' => self::AFTER_ALL + $at, 'half_minutes' => 0, 'more' => 0];
            $planned[(int) $extra->id][$extra->date]['more'] += $extra->halfMinutes;
        }

        return $planned;
    }
}
