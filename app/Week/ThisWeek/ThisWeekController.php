<?php

declare(strict_types=1);

namespace App\Week\ThisWeek;

use App\Account\CurrentStudio;
use App\Api\Get;
use Illuminate\Http\JsonResponse;

/** The first screen. */
final class ThisWeekController
{
    #[Get('/this-week', ThisWeekResource::class, many: true)]
    public function index(CurrentStudio $studio, ThisWeek $thisWeek): JsonResponse
    {
        return new JsonResponse($thisWeek($studio->get(), $studio->member()->onlyOf()));
    }
}
