<?php

declare(strict_types=1);

namespace App\Listening;

use App\Api\Get;
use App\Api\Put;
use App\Week\Task;
use App\Week\TaskBars;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;

/** Takes from home: kept as notes, once each, and judged beside what is written. */
final class TakeController
{
    /** A phone that has kept it for longer says nothing of today. */
    private const DAYS_LATE = 31;

    /** The newest that are listed. */
    private const SHOWN = 10;

    #[Get('/tasks/{task}/takes', TakeResource::class, many: true)]
    public function index(Task $task): JsonResponse
    {
        $piece = $task->load('learning.piece')->learning?->piece;
        if ($piece === null || ! $piece->isTyped()) {
            return new JsonResponse([]);
        }
        $score = $piece->score();
        $takes = Take::query()->where('task_id', $task->id)->orderByDesc('taken_at')->orderByDesc('id');
        $takes->limit(self::SHOWN);
        $last = count($score->measures) - 1;

        // Of a page that was typed anew meanwhile, what is left of the bars.
        return new JsonResponse($takes->get()->map(static fn (Take $take): TakeResource => TakeResource::of($take, Hear::take(
            WrittenMusic::of($score, [min($take->first, $last), min($take->last, $last)], $task->hand),
            TakeFile::read($take->notes),
            $take->source,
        ))));
    }

    #[Put('/home/tasks/{task}/takes', HeardResource::class)]
    public function store(TakeRequest $request, Task $task): JsonResponse
    {
        $task->load(['week.student.studio', 'bars', 'learning.piece']);
        $piece = $task->learning?->piece;
        if ($task->week->sent_at === null || $piece === null || ! $piece->isTyped()) {
            abort(404);
        }
        $bars = $task->bars->sortBy('position')->values()->get($request->integer('part'));
        if (! $bars instanceof TaskBars) {
            throw ValidationException::withMessages(['part' => 'This task has no such bars.']);
        }
        $score = $piece->score();
        $last = min($bars->last, count($score->measures) - 1);
        $source = Source::from($request->string('source')->toString());
        $take = $request->take();
        $now = CarbonImmutable::now();
        $at = CarbonImmutable::parse($request->string('at')->toString())->utc()->min($now)->max($now->subDays(self::DAYS_LATE));
        $student = $task->week->student;
        DB::table('takes')->insertOrIgnore([
            'studio_id' => $task->studio_id,
            'student_id' => $task->student_id,
            'task_id' => $task->id,
            'client_key' => $request->string('clientKey')->toString(),
            'first' => $bars->first,
            'last' => $last,
            'source' => $source->value,
            'taken_at' => $at->toDateTimeString(),
            'on_date' => $at->setTimezone($student->timezone ?? $student->studio->timezone)->toDateString(),
            'notes' => $take,
        ]);

        return new JsonResponse(HeardResource::of(Hear::take(WrittenMusic::of($score, [$bars->first, $last], $task->hand), TakeFile::read($take), $source)));
    }
}
