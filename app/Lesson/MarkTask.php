<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Student\Learning\Learning;
use App\Student\Learning\PlayedOn;
use App\Week\CountWeeks;
use App\Week\Task;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\ReviewSchedule;
use Nasturtium\Core\Practice\TaskKind;

/** Sets or takes back the mark of a task heard; everything that follows from marks is reckoned anew, so each can be undone. */
final class MarkTask
{
    public function __invoke(Task $task, ?LessonVerdict $mark, CarbonImmutable $heldOn): void
    {
        DB::transaction(function () use ($task, $mark, $heldOn): void {
            CountWeeks::lock($task->week_id);
            $before = $task->mark;
            $task->update(['mark' => $mark]);
            if ($task->stage !== null) {
                $passedNow = $task->stage->passed_on?->equalTo($heldOn) ?? false;
                if ($mark === LessonVerdict::Pass) {
                    $task->stage->update(['passed_on' => $task->stage->passed_on ?? $heldOn]);
                } elseif ($passedNow) {
                    $task->stage->update(['passed_on' => null]);
                }
            }
            if ($task->learning !== null) {
                if ($mark === LessonVerdict::Stop) {
                    $task->learning->update(['state' => LearningState::Resting]);
                } elseif ($before === LessonVerdict::Stop) {
                    $task->learning->update(['state' => LearningState::Current]);
                }
                $this->settle($task->learning, $heldOn);
            }
            CountWeeks::of([$task->week_id]);
        });
    }

    /** A piece is signed off when its last stage has passed; then it is reviewed. */
    public function settle(Learning $learning, CarbonImmutable $on): void
    {
        $open = $learning->stages()->whereNull('passed_on')->exists();
        if ($open) {
            $learning->update([
                'state' => $learning->state === LearningState::Finished ? LearningState::Current : $learning->state,
                'finished_on' => null,
                'played_on' => PlayedOn::of($learning),
            ]);

            return;
        }
        $reviews = Task::query()->where('learning_id', $learning->id)->where('kind', TaskKind::Review->value)->whereIn('mark', [LessonVerdict::Pass, LessonVerdict::Again])
            ->join('weeks', 'weeks.id', '=', 'tasks.week_id')->orderBy('weeks.ends_on')->pluck('tasks.mark');
        $learning->update(['finished_on' => $learning->finished_on ?? $on]);
        $learning->update([
            'state' => $learning->state === LearningState::Resting ? LearningState::Resting : LearningState::Finished,
            // A mark that was taken back tells of no playing any more.
            'played_on' => PlayedOn::of($learning),
            'review_step' => ReviewSchedule::after(array_values($reviews->map(static fn ($mark): bool => $mark === LessonVerdict::Pass)->all())),
        ]);
    }
}
