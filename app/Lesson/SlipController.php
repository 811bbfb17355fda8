<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Api\Delete;
use App\Api\Post;
use App\Page\Piece\NoteNames;
use App\Week\Task;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Nasturtium\Core\Score\Hand;

/** Slips heard at a lesson. */
final class SlipController
{
    #[Post('/lessons/{lesson}/slips', SlipResource::class)]
    public function store(SlipRequest $request, Lesson $lesson, NoteNames $names): JsonResponse
    {
        $task = Task::query()->where('week_id', $lesson->week_id)->with('learning.piece')->findOrFail($request->integer('taskId'));
        $piece = $task->learning?->piece;
        $score = $piece?->isTyped() === true ? $piece->score() : null;
        [$first, $last] = [$request->integer('measure'), $request->integer('last', $request->integer('measure'))];
        [$fromBeat, $toBeat] = $request->filled('fromBeat') ? [$request->integer('fromBeat'), $request->integer('toBeat')] : [null, null];
        $place = SlipPlace::of($score, $first, $last, $fromBeat, $toBeat);
        $slip = Slip::query()->where('lesson_id', $lesson->id)->where('task_id', $task->id)->where('kind', $request->string('kind')->toString())->where('place', $place)->where('hand', $request->input('hand'))->first();
        $slip ??= Slip::query()->firstOrCreate(['lesson_id' => $lesson->id, 'client_key' => $request->input('clientKey') ?? (string) Str::uuid()], [
            'studio_id' => $lesson->studio_id,
            'task_id' => $task->id,
            'kind' => $request->string('kind')->toString(),
            'measure' => $first,
            'last_measure' => $last === $first ? null : $last,
            'from_beat' => $fromBeat,
            'to_beat' => $toBeat,
            'place' => $place,
            'hand' => $request->input('hand'),
            'note_names' => $names->of(array_slice($score->measures ?? [], $first, $last - $first + 1), Hand::tryFrom($request->string('hand')->toString())),
        ]);

        return new JsonResponse(SlipResource::of($slip));
    }

    /** By the key that the lesson's own screen has given it, which knows of no other yet. */
    #[Delete('/lessons/{lesson}/slips/{key}')]
    public function takeBack(Lesson $lesson, string $key): Response
    {
        Slip::query()->where('lesson_id', $lesson->id)->where('client_key', $key)->delete();

        return new Response(status: 204);
    }

    #[Delete('/slips/{slip}')]
    public function destroy(Slip $slip): Response
    {
        $slip->delete();

        return new Response(status: 204);
    }
}
