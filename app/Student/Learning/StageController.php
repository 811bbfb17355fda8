<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Account\CurrentStudio;
use App\Api\Delete;
use App\Api\Patch;
use App\Api\Post;
use App\Student\Learning\Stuck\ReliefRequest;
use App\Student\Learning\Stuck\RelieveStage;
use App\Student\Learning\Stuck\StuckResource;
use App\Student\Learning\Stuck\StuckStages;
use Illuminate\Http\JsonResponse;
use Nasturtium\Core\Practice\Relief;

/** Stages ticked off by hand, as those done together at the lesson. */
final class StageController
{
    #[Patch('/stages/{stage}', StageResource::class)]
    public function update(StageRequest $request, Stage $stage, Settle $settle, CurrentStudio $studio): JsonResponse
    {
        $stage->update(['passed_on' => $request->boolean('passed') ? ($stage->passed_on ?? $studio->today()) : null]);
        $settle($stage->load('learning')->learning, $studio->today());

        return new JsonResponse(StageResource::of($stage->load('bars')->loadCount('misses')));
    }

    #[Post('/stages/{stage}/relief', StuckResource::class, many: true)]
    public function relieve(ReliefRequest $request, Stage $stage, RelieveStage $relieve): JsonResponse
    {
        $relieve($stage, Relief::from($request->string('relief')->toString()));

        return new JsonResponse(array_map(StuckResource::of(...), StuckStages::of($stage->learning->student_id)));
    }

    /** Takes the last relief back: the stage is what it was, and as stuck. */
    #[Delete('/stages/{stage}/relief', StuckResource::class, many: true)]
    public function takeBack(Stage $stage, RelieveStage $relieve): JsonResponse
    {
        $relieve->takeBack($stage);

        return new JsonResponse(array_map(StuckResource::of(...), StuckStages::of($stage->learning->student_id)));
    }
}
