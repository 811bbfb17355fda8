<?php

declare(strict_types=1);

namespace App\Listening;

use App\Api\Get;
use App\Api\Put;
use App\Lesson\Lesson;
use App\Week\Task;
use App\Week\TaskBars;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Heard;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece as Score;

/** Takes from home: kept as notes, once each, and judged beside what is written. */
final class TakeController
{
    /** A phone that has kept it for longer says nothing of today. */
    private const DAYS_LATE = 31;

    /** The newest of a week that are listed. */
    private const SHOWN = 60;

    #[Get('/lessons/{lesson}/takes', TakeResource::class, many: true)]
    public function index(Lesson $lesson): JsonResponse
    {
        $takes = Take::query()->whereIn('task_id', Task::query()->where('week_id', $lesson->week_id)->select('id'))->with('task.learning.piece')->orderByDesc('taken_at')->orderByDesc('id');
        $takes->limit(self::SHOWN);
        $told = [];
        foreach ($takes->get() as $take) {
            $piece = $take->task->learning?->piece;
            if ($piece !== null && $piece->isTyped()) {
                $told[] = TakeResource::of($take, Judged::kept($take->judged, $piece->revision) ?? Judged::of(self::heard($piece->score(), $take->first, $take->last, $take->task->hand, $take->notes, $take->source), $piece->revision));
            }
        }

        return new JsonResponse($told);
    }

    #[Put('/home/tasks/{task}/takes', TakeHeardResource::class)]
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
        [$first, $last] = $request->phrase() ?? [$bars->first, $bars->last];
        $source = Source::from($request->string('source')->toString());
        $take = $request->take();
        $heard = self::heard($piece->score(), $first, $last, $task->hand, $take, $source);
        $now = CarbonImmutable::now();
        $at = CarbonImmutable::parse($request->string('at')->toString())->utc()->min($now)->max($now->subDays(self::DAYS_LATE));
        $student = $task->week->student;
        DB::table('takes')->insertOrIgnore([
            'studio_id' => $task->studio_id,
            'student_id' => $task->student_id,
            'task_id' => $task->id,
            'client_key' => $request->string('clientKey')->toString(),
            'first' => $first,
            'last' => $last,
            'source' => $source->value,
            'taken_at' => $at->toDateTimeString(),
            'on_date' => $at->setTimezone($student->timezone ?? $student->studio->timezone)->toDateString(),
            'notes' => $take,
            'judged' => Judged::of($heard, $piece->revision)->json(),
        ]);

        return new JsonResponse(TakeHeardResource::of($heard));
    }

    /** Of a page that was typed anew meanwhile, what is left of the bars. */
    private static function heard(Score $score, int $first, int $last, ?Hand $hand, string $notes, Source $source): Heard
    {
        $end = count($score->measures) - 1;

        return Hear::take(WrittenMusic::of($score, [min($first, $end), min($last, $end)], $hand), TakeFile::read($notes), $source);
    }
}
