<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\NoteNames;
use App\Api\Delete;
use App\Api\Post;
use App\Http\Requests\SlipRequest;
use App\Http\Resources\SlipResource;
use App\Models\Lesson;
use App\Models\Slip;
use App\Models\Task;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Score\Hand;

/** Slips heard at a lesson. */
final class SlipController
{
    #[Post('/lessons/{lesson}/slips', SlipResource::class)]
    public function store(SlipRequest $request, Lesson $lesson, NoteNames $names): JsonResponse
    {
        $task = Task::query()->where('week_id', $lesson->week_id)->with('learning.piece')->findOrFail($request->integer('taskId'));
        $measure = $task->learning?->piece->score()->measures[$request->integer('measure')] ?? null;
        if ($measure === null) {
            throw ValidationException::withMessages(['measure' => 'The piece of this task has no such bar.']);
        }
        $slip = Slip::query()->create([
            'studio_id' => $lesson->studio_id,
            'lesson_id' => $lesson->id,
            'task_id' => $task->id,
            'kind' => $request->string('kind')->toString(),
            'measure' => $measure->index,
            'place' => "bar {$measure->number}",
            'hand' => $request->input('hand'),
            'note_names' => $names->of($measure, Hand::tryFrom($request->string('hand')->toString())),
        ]);

        return new JsonResponse(SlipResource::of($slip));
    }

    #[Delete('/slips/{slip}')]
    public function destroy(Slip $slip): Response
    {
        $slip->delete();

        return new Response(status: 204);
    }
}
