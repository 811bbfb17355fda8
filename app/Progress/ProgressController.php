<?php

declare(strict_types=1);

namespace App\Progress;

use App\Account\CurrentStudio;
use App\Account\User;
use App\Api\Get;
use App\Privacy\Access;
use App\Privacy\NoteAccess;
use App\Student\Student;
use Illuminate\Http\JsonResponse;

/** How a student gets on, and whether thorns stand where it goes wrong. */
final class ProgressController
{
    #[Get('/progress/thorns', ThornsResource::class)]
    public function thorns(ThornsOf $thorns, CurrentStudio $studio): JsonResponse
    {
        return new JsonResponse($thorns($studio->get()->id, $studio->today()));
    }

    #[Get('/students/{student}/progress', ProgressResource::class)]
    public function show(ProgressRequest $request, Student $student, ProgressOf $progress, CurrentStudio $studio): JsonResponse
    {
        $student->setRelation('studio', $studio->get());
        $user = $request->user();
        NoteAccess::by($user instanceof User ? $user->name : '', $student, Access::PROGRESS);

        return new JsonResponse($progress($student, ...$request->time($student->today())));
    }
}
