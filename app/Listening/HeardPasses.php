<?php

declare(strict_types=1);

namespace App\Listening;

use App\Week\Task;

/** "Three in a row heard = passed": for students of whom the teacher says so (trade 18.6). */
final class HeardPasses
{
    private const IN_A_ROW = 3;

    /** Its last takes of all its bars were as it is written, at its tempo or quicker: the stage passes today. */
    public static function look(Task $task): void
    {
        $student = $task->week->student;
        $piece = $task->learning?->piece;
        if (! $student->heard_passes || $task->stage === null || $task->stage->passed_on !== null || $piece === null) {
            return;
        }
        $ranges = $task->bars->map(static fn ($bars): array => [$bars->first, $bars->last])->unique()->values();
        foreach ($ranges as [$first, $last]) {
            $takes = Take::query()->where('task_id', $task->id)->where('first', $first)->where('last', $last);
            $takes->orderByDesc('taken_at')->orderByDesc('id')->limit(self::IN_A_ROW);
            $clean = $takes->get()->filter(static fn (Take $take): bool => self::isClean($take, $piece->revision, $task->tempo));
            if ($clean->count() < self::IN_A_ROW) {
                return;
            }
        }
        $task->stage->update(['passed_on' => $student->today()]);
    }

    private static function isClean(Take $take, int $revision, ?int $tempo): bool
    {
        $judged = Judged::kept($take->judged, $revision);

        return $judged !== null && $judged->clean && ($tempo === null || $judged->tempo === null || $judged->tempo >= $tempo);
    }
}
