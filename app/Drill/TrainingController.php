<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\Get;
use App\Api\Put;
use App\Student\Student;
use Illuminate\Http\JsonResponse;

/** What a student trains, and what is set for it. */
final class TrainingController
{
    #[Get('/students/{student}/training', TrainingResource::class)]
    public function show(Student $student, TrainingOf $training): JsonResponse
    {
        return new JsonResponse($training($student->load('studio')));
    }

    #[Put('/students/{student}/training', TrainingSettingsResource::class)]
    public function update(TrainingRequest $request, Student $student): JsonResponse
    {
        $request->fill($student)->save();

        return new JsonResponse(TrainingSettingsResource::of($student));
    }
}
