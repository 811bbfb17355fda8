<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Student\Learning\Learning;
use App\Student\Learning\Settle;
use App\Student\Learning\Stage;
use App\Week\Task;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Practice\HeardLines;
use Nasturtium\Core\Practice\HeardPage;
use Nasturtium\Core\Practice\HeardStage;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\TaskKind;

/** Marks a page at a lesson: what passes with the stage that was heard, what comes again, what stops. Another mark takes the one before back first. */
final class HearPage
{
    public function __construct(private readonly MarkTask $marks, private readonly Settle $settle) {}

    public function __invoke(Lesson $lesson, Learning $learning, ?int $stageId, ?LessonVerdict $mark): void
    {
        DB::transaction(function () use ($lesson, $learning, $stageId, $mark): void {
            Lesson::query()->whereKey($lesson->id)->lockForUpdate()->first(['id']);
            $this->takeBack($lesson, $learning);
            if ($mark === null) {
                return;
            }
            $stages = $learning->stages()->orderBy('position')->get();
            if ($stageId !== null && ! $stages->contains('id', $stageId)) {
                throw ValidationException::withMessages(['stageId' => 'This stage is not on the path of the page.']);
            }
            $tasks = $this->tasks($lesson, $learning);
            $passed = match (true) {
                $mark !== LessonVerdict::Pass => $this->markOne($lesson, $learning, $tasks, $stageId, $mark),
                $stageId === null => $this->markOne($lesson, $learning, $tasks, null, $mark),
                default => $this->pass($lesson, $stages, $tasks, $stageId),
            };
            PageMark::query()->create([
                'studio_id' => $lesson->studio_id, 'lesson_id' => $lesson->id, 'learning_id' => $learning->id, 'stage_id' => $stageId, 'mark' => $mark,
            ])->passed()->attach($passed);
            ($this->settle)($learning->refresh(), $lesson->held_on);
        });
    }

    private function takeBack(Lesson $lesson, Learning $learning): void
    {
        $before = PageMark::query()->where('lesson_id', $lesson->id)->where('learning_id', $learning->id)->first();
        foreach ($this->tasks($lesson, $learning) as $task) {
            if ($task->mark !== null) {
                ($this->marks)($task, null, $lesson->held_on);
            }
        }
        if ($before === null) {
            return;
        }
        $before->passed()->update(['passed_on' => null]);
        if ($before->mark === LessonVerdict::Stop) {
            $learning->update(['state' => LearningState::Current]);
        }
        $before->delete();
        ($this->settle)($learning->refresh(), $lesson->held_on);
    }

    /** @return Collection<int, Task> of the page, in the week that is heard */
    private function tasks(Lesson $lesson, Learning $learning): Collection
    {
        return Task::query()->where('week_id', $lesson->week_id)->where('learning_id', $learning->id)->with(['stage', 'learning'])->withCount('practices')->orderBy('id')->get();
    }

    /**
     * @param  Collection<int, Stage>  $stages
     * @param  Collection<int, Task>  $tasks
     * @return list<int> stages that passed and have no task
     */
    private function pass(Lesson $lesson, Collection $stages, Collection $tasks, int $stageId): array
    {
        $page = new HeardPage(array_values($stages->map(static fn (Stage $stage): HeardStage => new HeardStage($stage->id, $stage->passed_on !== null, false, false, $stage->kind->isPreparation()))->all()));
        $without = [];
        $line = self::lineHeard($tasks->where('stage_id', $stageId));
        foreach ($page->passingWith($stageId) as $id) {
            $of = $tasks->where('stage_id', $id);
            foreach ($of->filter(static fn (Task $task): bool => $task->line === null || $line === null || $task->line <= $line) as $task) {
                ($this->marks)($task, LessonVerdict::Pass, $lesson->held_on);
            }
            // Nothing of it was set, or what comes after it passed whole: then it has passed with all its lines.
            if ($of->whereNull('line')->isEmpty() && ($of->isEmpty() || $line === null)) {
                Stage::query()->whereKey($id)->whereNull('passed_on')->update(['passed_on' => $lesson->held_on]);
                $without[] = $id;
            }
        }
        // What was put right is put right with the page.
        foreach ($tasks->where('kind', TaskKind::Remedy) as $remedy) {
            ($this->marks)($remedy, LessonVerdict::Pass, $lesson->held_on);
        }

        return $without;
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @return list<int> nothing passes
     */
    private function markOne(Lesson $lesson, Learning $learning, Collection $tasks, ?int $stageId, LessonVerdict $mark): array
    {
        $of = $tasks->where('stage_id', $stageId);
        $task = $stageId === null ? $tasks->firstWhere('kind', TaskKind::Review) ?? $tasks->first() : $of->firstWhere('line', self::lineHeard($of)) ?? $of->first();
        if ($task !== null) {
            ($this->marks)($task, $mark, $lesson->held_on);
        } elseif ($mark === LessonVerdict::Stop) {
            $learning->update(['state' => LearningState::Resting]);
        }

        return [];
    }

    /**
     * @param  Collection<int, Task>  $tasks  of one stage, with their practices counted
     * @return ?int null where it does not go by lines, or none was practised
     */
    private static function lineHeard(Collection $tasks): ?int
    {
        return HeardLines::heard($tasks->whereNotNull('line')->mapWithKeys(static fn (Task $task): array => [(int) $task->line => $task->practices_count > 0])->all());
    }
}
