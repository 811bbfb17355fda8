<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Nasturtium\Core\Practice\TaskTimes;

/** What a stage takes on its first day and later; at another tempo than its own it takes another time. */
final class StageTimes
{
    /** @param Learning $learning of the stage, with its piece and ladders */
    public static function of(Stage $stage, Learning $learning, ?int $tempo): TaskTimes
    {
        if ($tempo === null || $tempo === $stage->tempo || $stage->bars->isEmpty()) {
            return new TaskTimes($stage->half_minutes_first ?? $stage->half_minutes, $stage->half_minutes);
        }

        return self::at($stage, $learning, $tempo);
    }

    /** @param int $tempo beats a minute */
    public static function at(Stage $stage, Learning $learning, int $tempo): TaskTimes
    {
        $ranges = array_values($stage->bars->map(static fn (StageBars $of): array => [$of->first, $of->last])->all());

        return TaskTimes::ofBars($learning->piece->score(), $ranges, $stage->kind->taskClass(), $stage->repetitions, $stage->kind->tempi($tempo, $learning->ladder($stage->aloneHand())));
    }
}
