<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Api\Put;
use App\Student\Learning\Learning;
use Illuminate\Http\JsonResponse;
use Nasturtium\Core\Practice\LessonVerdict;

/** Pages as they are heard: pass up to a stage, again, or stop. */
final class PageMarkController
{
    #[Put('/lessons/{lesson}/pages/{learning}', LessonCardResource::class)]
    public function update(PageMarkRequest $request, Lesson $lesson, Learning $learning, HearPage $hear): JsonResponse
    {
        abort_unless($learning->student_id === $lesson->student_id, 404);
        $hear($lesson, $learning, $request->filled('stageId') ? $request->integer('stageId') : null, LessonVerdict::tryFrom($request->string('mark')->toString()));

        return new JsonResponse(LessonCards::one($lesson, $learning->id));
    }
}
