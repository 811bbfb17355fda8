<?php

declare(strict_types=1);

namespace App\Listening;

use App\Api\Get;
use App\Api\Put;
use App\Lesson\Lesson;
use App\Week\Task;
use App\Week\TaskBars;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

/** Takes of the tasks of a week: from home, and at the lesson. */
final class TakeController
{
    /** The newest of a week that are listed. */
    private const SHOWN = 60;

    public function __construct(private readonly HeardPasses $passes) {}

    #[Get('/lessons/{lesson}/takes', TakeResource::class, many: true)]
    public function index(Lesson $lesson): JsonResponse
    {
        $takes = Take::query()->whereIn('task_id', Task::query()->where('week_id', $lesson->week_id)->select('id'))->with('task.learning.piece')->orderByDesc('taken_at')->orderByDesc('id');
        $takes->limit(self::SHOWN);
        $told = [];
        foreach ($takes->get() as $take) {
            $piece = $take->task?->learning?->piece;
            if ($piece !== null && $piece->isTyped()) {
                array_push($told, ...JudgedTakes::of([$take], $piece, $take->task?->hand));
            }
        }

        return new JsonResponse($told);
    }

    #[Put('/home/tasks/{task}/takes', TakeHeardResource::class)]
    public function store(TakeRequest $request, Task $task, KeepTake $keep): JsonResponse
    {
        abort_if($task->load('week')->week->sent_at === null, 404);

        return $this->keep($request, $task, $keep);
    }

    #[Put('/tasks/{task}/takes', TakeHeardResource::class)]
    public function atLesson(TakeRequest $request, Task $task, KeepTake $keep): JsonResponse
    {
        return $this->keep($request, $task, $keep);
    }

    private function keep(TakeRequest $request, Task $task, KeepTake $keep): JsonResponse
    {
        $task->load(['week.student.studio', 'bars', 'learning.piece', 'stage']);
        $piece = $task->learning?->piece;
        if ($piece === null || ! $piece->isTyped()) {
            abort(404);
        }
        $bars = $task->bars->sortBy('position')->values()->get($request->integer('part'));
        if (! $bars instanceof TaskBars) {
            throw ValidationException::withMessages(['part' => 'This task has no such bars.']);
        }
        $heard = $keep($request, $task->week->student, $piece, $request->phrase() ?? [$bars->first, $bars->last], $task->hand, ['task_id' => $task->id]);
        ($this->passes)($task);

        return new JsonResponse($heard);
    }
}
