<?php

declare(strict_types=1);

namespace App\Listening;

use App\Student\Learning\Settle;
use App\Week\Task;
use App\Week\TaskBars;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Performance\Hearing\ThreeInARow;

/** A playing stage passes by what was heard, for students of whom the teacher says so (trade 18.6). */
final class HeardPasses
{
    public function __construct(private readonly Settle $settle) {}

    /** @param Task $task with its week's student, stage, bars and page */
    public function __invoke(Task $task): void
    {
        [$student, $stage, $learning] = [$task->week->student, $task->stage, $task->learning];
        // A stage that is learnt line by line passes at the lesson, where its lines are heard.
        if (! $student->heard_passes || $stage === null || $learning === null || $stage->passed_on !== null || ! TaskSign::of($task->kind, $stage->kind)->isPlayed() || $task->line !== null) {
            return;
        }
        $takes = [];
        foreach (Take::query()->where('task_id', $task->id)->orderByDesc('taken_at')->orderByDesc('id')->get(['first', 'last', 'judged']) as $take) {
            $judged = Judged::kept($take->judged, $learning->piece->revision);
            $takes["{$take->first} {$take->last}"][] = ['clean' => $judged !== null && $judged->clean, 'tempo' => $judged?->tempo];
        }
        $unit = $learning->piece->score()->meter()->unit;
        $missing = $task->bars->first(static fn (TaskBars $bars): bool => ! ThreeInARow::isThere($takes["{$bars->first} {$bars->last}"] ?? [], $task->tempo, $unit));
        if ($missing === null) {
            $stage->update(['passed_on' => $student->today()]);
            ($this->settle)($learning, $student->today());
        }
    }
}
