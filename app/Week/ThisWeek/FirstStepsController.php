<?php

declare(strict_types=1);

namespace App\Week\ThisWeek;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Page\Piece\Piece;
use App\Student\Student;
use App\Week\Week;
use Illuminate\Http\JsonResponse;

/** How far a new studio has come. */
final class FirstStepsController
{
    #[Get('/first-steps', FirstStepsResource::class)]
    public function show(CurrentStudio $studio): JsonResponse
    {
        $of = ['studio_id' => $studio->get()->id];

        return new JsonResponse(new FirstStepsResource(
            Piece::query()->where($of)->exists(),
            Student::query()->where($of)->exists(),
            Week::query()->where($of)->exists(),
            Week::query()->where($of)->whereNotNull('sent_at')->exists(),
        ));
    }
}
