<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Week\Task;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\ReviewSchedule;
use Nasturtium\Core\Practice\TaskKind;

/** Brings a piece in line with its stages: it is signed off when the last one has passed, and then reviewed (trade 12.3). */
final class Settle
{
    public function __invoke(Learning $learning, CarbonImmutable $on): void
    {
        $haveAllPassed = $learning->stages()->whereNull('passed_on')->doesntExist();
        $state = $learning->state->settled($haveAllPassed);
        if (! $haveAllPassed) {
            $learning->update([
                'state' => $state,
                'finished_on' => null,
                'played_on' => PlayedOn::of($learning),
            ]);

            return;
        }
        $reviews = Task::query()->where('learning_id', $learning->id)->where('kind', TaskKind::Review->value)->whereIn('mark', [LessonVerdict::Pass, LessonVerdict::Again])
            ->join('weeks', 'weeks.id', '=', 'tasks.week_id')->orderBy('weeks.ends_on')->pluck('tasks.mark');
        $learning->update(['finished_on' => $learning->finished_on ?? $on]);
        $learning->update([
            'state' => $state,
            // A mark that was taken back tells of no playing any more.
            'played_on' => PlayedOn::of($learning),
            'review_step' => ReviewSchedule::after(array_values($reviews->map(static fn ($mark): bool => $mark === LessonVerdict::Pass)->all())),
        ]);
    }
}
