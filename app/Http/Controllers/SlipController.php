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
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Piece;

/** Slips heard at a lesson. */
final class SlipController
{
    #[Post('/lessons/{lesson}/slips', SlipResource::class)]
    public function store(SlipRequest $request, Lesson $lesson, NoteNames $names): JsonResponse
    {
        $task = Task::query()->where('week_id', $lesson->week_id)->with('learning.piece')->findOrFail($request->integer('taskId'));
        $score = $task->learning?->piece->score();
        $place = $score === null ? null : $this->place($score, $request);
        if ($score === null || $place === null) {
            throw ValidationException::withMessages(['measure' => 'The piece of this task has no such bar.']);
        }
        [$first, $last] = [$request->integer('measure'), $request->integer('last', $request->integer('measure'))];
        $slip = Slip::query()->firstOrCreate(['lesson_id' => $lesson->id, 'client_key' => $request->input('clientKey') ?? (string) Str::uuid()], [
            'studio_id' => $lesson->studio_id,
            'task_id' => $task->id,
            'kind' => $request->string('kind')->toString(),
            'measure' => $first,
            'last_measure' => $last === $first ? null : $last,
            'from_beat' => $request->input('fromBeat'),
            'to_beat' => $request->input('toBeat'),
            'place' => $place,
            'hand' => $request->input('hand'),
            'note_names' => $names->of(array_slice($score->measures, $first, $last - $first + 1), Hand::tryFrom($request->string('hand')->toString())),
        ]);

        return new JsonResponse(SlipResource::of($slip));
    }

    /** `bar 4`, `bars 4–5`, `bar 4, beat 3 to bar 5, beat 1`; null where the piece has no such place. */
    private function place(Piece $score, SlipRequest $request): ?string
    {
        [$first, $last] = [$request->integer('measure'), $request->integer('last', $request->integer('measure'))];
        [$from, $to] = [$score->measures[$first] ?? null, $score->measures[$last] ?? null];
        if ($from === null || $to === null) {
            return null;
        }
        if ($request->filled('fromBeat')) {
            try {
                (new Chunks($score))->between($first, $request->integer('fromBeat') - 1, $last, $request->integer('toBeat') - 1);
            } catch (InvalidScore $reason) {
                throw ValidationException::withMessages(['fromBeat' => ucfirst($reason->getMessage()).'.']);
            }

            return $first === $last && $request->integer('fromBeat') === $request->integer('toBeat')
                ? "bar {$from->number}, beat {$request->integer('fromBeat')}"
                : "bar {$from->number}, beat {$request->integer('fromBeat')} to ".($first === $last ? '' : "bar {$to->number}, ")."beat {$request->integer('toBeat')}";
        }

        return $first === $last ? "bar {$from->number}" : "bars {$from->number}–{$to->number}";
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
