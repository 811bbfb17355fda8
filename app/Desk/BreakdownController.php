<?php

declare(strict_types=1);

namespace App\Desk;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Page\Piece\Piece;
use App\Page\Piece\PieceResource;
use App\Page\Piece\PlaybackResource;
use App\Student\ForStudent;
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
