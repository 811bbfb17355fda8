<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReportOf;
use App\Actions\SettingsFor;
use App\Api\Get;
use App\Http\CurrentStudio;
use App\Http\ForStudent;
use App\Http\Resources\BreakdownResource;
use App\Http\Resources\OwnFingerResource;
use App\Http\Resources\PieceResource;
use App\Http\Resources\PlaybackResource;
use App\Models\Piece;
use Illuminate\Http\JsonResponse;

/** What the core says of a piece, for a student where one is named. */
final class BreakdownController
{
    #[Get('/pieces/{piece}/breakdown', BreakdownResource::class)]
    public function show(Piece $piece, CurrentStudio $studio, ForStudent $student, SettingsFor $settings, ReportOf $report): JsonResponse
    {
        $for = $student->get();
        $ways = $settings($studio->get(), $piece, $for);
        $kept = $report($piece, $ways, $for?->id);

        return new JsonResponse(new BreakdownResource(
            PieceResource::of($piece),
            $kept->report,
            PlaybackResource::of($kept->playback),
            OwnFingerResource::all($ways->fingers),
        ));
    }
}
