<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/** Every day begins with the warm-up, its time put aside before anything else is planned (rule 6). */
final readonly class WarmUpTime
{
    /** Half minutes of a day that has none: under six minutes. */
    private const SHORT = 12;

    /** One minute at least, a fifth of the day at most. */
    private const LEAST = 2;

    private const PART = 5;

    /** @return array<string, int> half minutes by date, of the days that have one */
    public static function of(Week $week): array
    {
        $time = [];
        foreach ($week->tasks as $task) {
            if ($task->class !== TaskClass::WarmUp) {
                continue;
            }
            foreach ($week->days as $day) {
                $of = self::onDay($day->halfMinutes, $task->halfMinutes);
                if ($of > 0 && ! in_array($day->date, $task->off, true)) {
                    $time[$day->date] = $of;
                }
            }

            break;
        }

        return $time;
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
}
