<?php

declare(strict_types=1);

namespace App\Desk;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Page\Piece\Piece;
use App\Page\Piece\PlaybackResource;
use App\Student\ForStudent;
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
