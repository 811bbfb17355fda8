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
        $isKnown = $tempo === null || $stage->bars->isEmpty() || ($tempo === $stage->tempo && $stage->half_minutes_first !== null);

        // Of a page that a former release has opened the first day is not known: its time is reckoned now.
        return $isKnown ? new TaskTimes($stage->half_minutes_first ?? $stage->half_minutes, $stage->half_minutes) : self::at($stage, $learning, $tempo);
    }

    /** @param int $tempo beats a minute */
    public static function at(Stage $stage, Learning $learning, int $tempo): TaskTimes
    {
        return TaskTimes::ofBars($learning->piece->score(), self::ranges($stage), $stage->kind->taskClass(), $stage->repetitions, $stage->kind->tempi($tempo, $learning->ladder($stage->aloneHand())));
    }

    /** @return list<array{int, int}> first and last index of a measure */
    public static function ranges(Stage $stage): array
    {
        return array_values($stage->bars->sortBy('position')->map(static fn (StageBars $of): array => [$of->first, $of->last])->all());
    }
}
