<?php

declare(strict_types=1);

namespace App\Student;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Api\Put;
use App\Privacy\Access;
use App\Privacy\AccessResource;
use Illuminate\Http\JsonResponse;

/** What a parent agreed to, and who has looked at a child's data. */
final class ConsentController
{
    private const MOST = 200;

    #[Put('/students/{student}/consent', StudentResource::class)]
    public function update(ConsentRequest $request, Student $student, CurrentStudio $studio): JsonResponse
    {
        $student->update([
            'consented_on' => $request->filled('consentedOn') ? $request->string('consentedOn')->toString() : null,
            'consent_words' => $request->filled('consentedOn') ? $request->string('words')->trim()->toString() : '',
        ]);

        return new JsonResponse(StudentResource::of($student->load('practiceDays'), $studio->today()));
    }

    /** The latest first. */
    #[Get('/students/{student}/accesses', AccessResource::class, many: true)]
    public function accesses(Student $student): JsonResponse
    {
        $latest = Access::query()->where('student_id', $student->id)->orderByDesc('id');
        $latest->limit(self::MOST);

        return new JsonResponse($latest->get()->map(AccessResource::of(...)));
    }
}
