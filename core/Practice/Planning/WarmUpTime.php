<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/**
 * Every day begins with the warm-up, its time put aside before anything else is planned (rule 6). A teacher may give
 * several: the others stand where the fifth of the day still holds them.
 */
final readonly class WarmUpTime
{
    /** Half minutes of a day that has none: under six minutes. */
    private const SHORT = 12;

    /** One minute at least, a fifth of the day at most. */
    private const LEAST = 2;

    private const PART = 5;

    /** @return array<string, array<array-key, int>> half minutes by task id, by date, of the days that have one */
    public static function of(Week $week): array
    {
        $warmUps = array_values(array_filter($week->tasks, static fn (PlanTask $task): bool => $task->class === TaskClass::WarmUp));
        usort($warmUps, static fn (PlanTask $a, PlanTask $b): int => strnatcmp($a->id, $b->id));
        $time = [];
        foreach ($warmUps as $task) {
            $count = $task->practised;
            foreach ($week->days as $day) {
                $isLocked = in_array($day->date, $task->locked, true);
                $isWanted = ! in_array($day->date, $task->off, true) && ($task->mostDays === null || $count < $task->mostDays);
                $of = $isLocked || $isWanted ? self::beside($day->halfMinutes, $task->halfMinutes, array_sum($time[$day->date] ?? []), $isLocked) : 0;
                if ($of > 0) {
                    $time[$day->date][$task->id] = $of;
                    $count++;
                }
            }
        }

        return $time;
    }

    /** @return array<string, int> half minutes by date */
    public static function byDate(Week $week): array
    {
        return array_map(array_sum(...), self::of($week));
    }

    /**
     * @param  int  $day  half minutes of the day
     * @param  int  $own  half minutes that the warm-up takes where there is time
     * @return int half minutes; 0 where the day is too short
     */
    public static function onDay(int $day, int $own): int
    {
        return $day < self::SHORT ? 0 : max(self::LEAST, min($own, intdiv($day, self::PART)));
    }

    /**
     * @param  int  $taken  half minutes of the day that other warm-ups have
     * @param  bool  $isLocked  the teacher has put it there
     */
    private static function beside(int $day, int $own, int $taken, bool $isLocked): int
    {
        $alone = self::onDay($day, $own);

        return match (true) {
            $taken === 0 => $alone === 0 && $isLocked ? min($own, $day) : $alone,
            $isLocked, $taken + $own <= intdiv($day, self::PART) => $own,
            default => 0,
        };
    }
}
