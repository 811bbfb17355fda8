<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Privacy\NoteAccess;
use App\Actions\Progress\ProgressOf;
use App\Api\Get;
use App\Http\CurrentStudio;
use App\Http\Requests\ProgressRequest;
use App\Http\Resources\ProgressResource;
use App\Models\Access;
use App\Models\Student;
use App\Models\User;
use Illuminate\Http\JsonResponse;

/** How a student gets on. */
final class ProgressController
{
    #[Get('/students/{student}/progress', ProgressResource::class)]
    public function show(ProgressRequest $request, Student $student, ProgressOf $progress, CurrentStudio $studio): JsonResponse
    {
        $student->setRelation('studio', $studio->get());
        $user = $request->user();
        NoteAccess::by($user instanceof User ? $user->name : '', $student, Access::PROGRESS);

        return new JsonResponse($progress($student, ...$request->time($student->today())));
    }
}
