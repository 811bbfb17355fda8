<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Api\Put;
use App\Week\Task;
use Illuminate\Http\JsonResponse;
use Nasturtium\Core\Practice\LessonVerdict;

/** Marks of the tasks heard: pass, again, stop, or none. */
final class MarkController
{
    #[Put('/lessons/{lesson}/marks/{task}', HeardTaskResource::class)]
    public function update(MarkRequest $request, Lesson $lesson, Task $task, MarkTask $mark): JsonResponse
    {
        abort_unless($task->week_id === $lesson->week_id, 404);
        $task->load(['stage', 'learning']);
        $task->fill([
            ...$request->has('tempoReached') ? ['tempo_reached' => $request->input('tempoReached')] : [],
            ...$request->has('note') ? ['heard_note' => $request->string('note')->trim()->toString()] : [],
        ]);
        $mark($task, $request->has('mark') ? LessonVerdict::tryFrom($request->string('mark')->toString()) : $task->mark, $lesson->held_on);

        return new JsonResponse(HeardTasks::one($task));
    }
}
