<?php

declare(strict_types=1);

namespace App\Week;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;

/** The weekly assignment: proposed, changed, sent. */
final class WeekController
{
    #[Post('/students/{student}/weeks', WeekResource::class)]
    public function store(ProposeRequest $request, Student $student, ProposeWeek $propose, CurrentStudio $studio): JsonResponse
    {
        $from = $request->filled('from') ? CarbonImmutable::parse($request->string('from')->toString()) : $studio->today();

        return new JsonResponse(WeekResource::of($propose($student, $from)->whole(), $studio->today()));
    }

    #[Get('/weeks/{week}', WeekResource::class)]
    public function show(Week $week, CurrentStudio $studio, CatchUp $catchUp): JsonResponse
    {
        $catchUp($week, $studio->today());

        return new JsonResponse(WeekResource::of($week->whole(), $studio->today()));
    }

    #[Put('/weeks/{week}', WeekResource::class)]
    public function update(WeekRequest $request, Week $week, SaveWeek $save, CurrentStudio $studio): JsonResponse
    {
        return new JsonResponse(WeekResource::of($save(
            $week,
            $request->tasks(),
            $studio->today(),
            $request->filled('share') ? $request->integer('share') : null,
            $request->boolean('justSo'),
            $request->boolean('sure'),
        )->whole(), $studio->today()));
    }
}
