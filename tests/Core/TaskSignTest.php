<?php

declare(strict_types=1);

use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\TaskKind;

test('each stage and each kind of task has its picture', function (TaskKind $kind, ?StageKind $stage, TaskSign $sign): void {
    expect(TaskSign::of($kind, $stage))->toBe($sign);
})->with([
    [TaskKind::Stage, StageKind::LookOver, TaskSign::Look],
    [TaskKind::Stage, StageKind::TapAndCount, TaskSign::Tap],
    [TaskKind::Stage, StageKind::NameNotes, TaskSign::Say],
    [TaskKind::Stage, StageKind::FingersInAir, TaskSign::Fingers],
    [TaskKind::Stage, StageKind::LeftHand, TaskSign::Hand],
    [TaskKind::Stage, StageKind::RightHandCounting, TaskSign::Hand],
    [TaskKind::Stage, StageKind::Echo, TaskSign::Hand],
    [TaskKind::Stage, StageKind::HandsTogether, TaskSign::Hands],
    [TaskKind::Stage, StageKind::Listen, TaskSign::Listen],
    [TaskKind::Stage, StageKind::TempoLadder, TaskSign::Climb],
    [TaskKind::Stage, StageKind::Finish, TaskSign::Show],
    // A stage of the teacher's own, and a page without typed music, are told by the task.
    [TaskKind::Stage, StageKind::Own, TaskSign::Through],
    [TaskKind::Theory, StageKind::Own, TaskSign::Write],
    [TaskKind::WarmUp, null, TaskSign::WarmUp],
    [TaskKind::Review, null, TaskSign::Again],
    [TaskKind::Remedy, null, TaskSign::Again],
    [TaskKind::Drill, null, TaskSign::Say],
]);

test('no stage is without one', function (): void {
    foreach (StageKind::cases() as $stage) {
        expect(TaskSign::of(TaskKind::Stage, $stage))->toBeInstanceOf(TaskSign::class);
    }
});
