<?php

declare(strict_types=1);

namespace App\Home;

use App\Api\Put;
use App\Student\Family\FamilyLink;
use App\Student\Family\FamilyWord;
use App\Student\Family\FamilyWordResource;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

/** A parent writes to the teacher: one word a day, which can be changed that day; sent twice it stands once. */
final class WordController
{
    /** A phone without a connection may be late by as much. */
    private const DAYS_LATE = 31;

    #[Put('/home/word', FamilyWordResource::class)]
    public function update(WordRequest $request): JsonResponse
    {
        $link = $request->user('family');
        assert($link instanceof FamilyLink);
        $student = $link->child($request->integer('studentId'));
        $day = CarbonImmutable::parse($request->string('date')->toString());
        if ($day->greaterThan($student->today()->addDay()) || $day->lessThan($student->today()->subDays(self::DAYS_LATE))) {
            throw ValidationException::withMessages(['date' => 'This word is too old to be sent, or its day has not come.']);
        }
        $words = $request->string('words')->trim()->toString();
        $of = ['student_id' => $student->id, 'on_date' => $day->toDateString()];
        if ($words === '') {
            FamilyWord::query()->where($of)->delete();
        } else {
            FamilyWord::query()->updateOrCreate($of, ['studio_id' => $student->studio_id, 'words' => $words]);
        }

        return new JsonResponse(new FamilyWordResource($day->toDateString(), $words));
    }
}
