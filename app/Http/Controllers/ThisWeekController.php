<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ThisWeek\ThisWeek;
use App\Api\Get;
use App\Http\CurrentStudio;
use App\Http\Resources\ThisWeekResource;
use Illuminate\Http\JsonResponse;

/** The first screen. */
final class ThisWeekController
{
    #[Get('/this-week', ThisWeekResource::class, many: true)]
    public function index(CurrentStudio $studio, ThisWeek $thisWeek): JsonResponse
    {
        return new JsonResponse($thisWeek($studio->get()));
    }
}
