<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MarkTask;
use App\Api\Patch;
use App\Http\CurrentStudio;
use App\Http\Requests\StageRequest;
use App\Http\Resources\StageResource;
use App\Models\Stage;
use Illuminate\Http\JsonResponse;

/** Stages ticked off by hand, as those done together at the lesson. */
final class StageController
{
    #[Patch('/stages/{stage}', StageResource::class)]
    public function update(StageRequest $request, Stage $stage, MarkTask $marks, CurrentStudio $studio): JsonResponse
    {
        $stage->update(['passed_on' => $request->boolean('passed') ? ($stage->passed_on ?? $studio->today()) : null]);
        $marks->settle($stage->load('learning')->learning, $studio->today());

        return new JsonResponse(StageResource::of($stage->load('bars')->loadCount('misses')));
    }
}
