<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Student\Learning\Settle;
use App\Week\CountWeeks;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\HeardLines;
use Nasturtium\Core\Practice\LessonVerdict;

/** Sets or takes back the mark of a task heard; everything that follows from marks is reckoned anew, so each can be undone. */
final class MarkTask
{
    public function __construct(private readonly Settle $settle) {}

    public function __invoke(Task $task, ?LessonVerdict $mark, CarbonImmutable $heldOn): void
    {
        DB::transaction(function () use ($task, $mark, $heldOn): void {
            CountWeeks::lock($task->week_id);
            $before = $task->mark;
            $task->update(['mark' => $mark]);
            if ($task->stage !== null) {
                $passedNow = $task->stage->passed_on?->equalTo($heldOn) ?? false;
                if ($mark === LessonVerdict::Pass && self::passesStage($task)) {
                    $task->stage->update(['passed_on' => $task->stage->passed_on ?? $heldOn]);
                } elseif ($passedNow && $mark !== LessonVerdict::Pass) {
                    $task->stage->update(['passed_on' => null]);
                }
            }
            if ($task->learning !== null) {
                $task->learning->update(['state' => $task->learning->state->heard($before, $mark)]);
                ($this->settle)($task->learning, $heldOn);
            }
            CountWeeks::of([$task->week_id]);
        });
    }

    /** A stage that is learnt line by line has passed when each line has. */
    private static function passesStage(Task $task): bool
    {
        return $task->line === null || HeardLines::havePassed(
            array_values(Task::query()->where('stage_id', $task->stage_id)->where('mark', LessonVerdict::Pass)->whereNotNull('line')->pluck('line')->all()),
            (int) $task->of_lines,
        );
    }
}
