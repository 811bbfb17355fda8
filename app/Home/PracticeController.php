<?php

declare(strict_types=1);

namespace App\Home;

use App\Api\Delete;
use App\Api\Put;
use App\Student\Learning\Learning;
use App\Student\Learning\PlayedOn;
use App\Week\CatchUp;
use App\Week\CountWeeks;
use App\Week\Practice;
use App\Week\PracticeResource;
use App\Week\Task;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Ticks from home. The same tick sent twice, or by two phones, counts once. */
final class PracticeController
{
    #[Put('/home/tasks/{task}/practice', PracticeResource::class)]
    public function update(PracticeRequest $request, Task $task, CatchUp $catchUp): JsonResponse
    {
        abort_if($task->load('week')->week->sent_at === null, 404);
        $day = $request->string('date')->toString();
        if ($day < $task->week->starts_on->toDateString() || $day > $task->week->ends_on->toDateString()) {
            throw ValidationException::withMessages(['date' => 'This day is not in the week of the task.']);
        }
        $practice = DB::transaction(static function () use ($request, $task, $day, $catchUp): Practice {
            // Ticks of one week come one after the other, so that each is counted.
            CountWeeks::lock($task->week_id);
            $practice = self::tick($request, $task, $day);
            if ($practice->wasRecentlyCreated) {
                $catchUp->afterLateTick($task, $day);
            }
            CountWeeks::of([$task->week_id]);

            return $practice;
        });

        return new JsonResponse(PracticeResource::of($practice));
    }

    private static function tick(PracticeRequest $request, Task $task, string $day): Practice
    {
        $practice = Practice::query()->where('student_id', $task->student_id)->where('client_key', $request->string('clientKey')->toString())->first()
            ?? Practice::query()->createOrFirst(
                ['task_id' => $task->id, 'on_date' => $day],
                [
                    'studio_id' => $task->studio_id,
                    'student_id' => $task->student_id,
                    'client_key' => $request->string('clientKey')->toString(),
                    'repetitions' => $request->integer('repetitions'),
                    'tempo' => $request->input('tempo'),
                    'seconds' => $request->input('seconds'),
                    'feeling' => $request->string('feeling')->toString(),
                    'note' => $request->string('note')->toString(),
                ],
            );
        Learning::query()->whereKey($task->learning_id)->where(static fn (Builder $learning) => $learning->whereNull('played_on')->orWhere('played_on', '<', $day))->update(['played_on' => $day]);

        return $practice;
    }

    #[Delete('/home/tasks/{task}/practice/{date}')]
    public function destroy(Task $task, string $date): Response
    {
        DB::transaction(static function () use ($task, $date): void {
            CountWeeks::lock($task->week_id);
            Practice::query()->where('task_id', $task->id)->where('on_date', $date)->delete();
            $learning = $task->learning_id === null ? null : Learning::query()->find($task->learning_id);
            $learning?->update(['played_on' => PlayedOn::of($learning)]);
            CountWeeks::of([$task->week_id]);
        });

        return new Response(status: 204);
    }
}
