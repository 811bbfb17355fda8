<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SettingsFor;
use App\Api\Get;
use App\Http\CurrentStudio;
use App\Http\ForStudent;
use App\Http\Requests\PiecePlaybackRequest;
use App\Http\Resources\PlaybackResource;
use App\Models\Piece;
use Illuminate\Http\JsonResponse;

/** What sounds when in a piece: all of it in play order, or some bars. */
final class PiecePlaybackController
{
    #[Get('/pieces/{piece}/playback', PlaybackResource::class)]
    public function show(PiecePlaybackRequest $request, Piece $piece, ForStudent $for, CurrentStudio $studio, SettingsFor $settings): JsonResponse
    {
        $student = $for->get();
        $way = $student === null ? $settings->usual($studio->get()) : $settings->counting($studio->get(), $student);

        return new JsonResponse(PlaybackResource::of($request->playback($piece->score(), $way)));
    }
}
