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
        $made = $report($piece, $ways, $for?->id);
        $own = json_encode([
            'piece' => PieceResource::of($piece),
            'ownFingers' => OwnFingerResource::all($ways->fingers),
        ], JSON_THROW_ON_ERROR);

        // Both are objects: one after the other they make one.
        return JsonResponse::fromJsonString(substr($own, 0, -1).','.substr($made, 1));
    }
}
