<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BreakDown;
use App\Api\Get;
use App\Http\CurrentStudio;
use App\Http\Resources\BreakdownResource;
use App\Http\Resources\PieceResource;
use App\Http\Resources\PlaybackResource;
use App\Models\Piece;
use App\Models\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Report\Settings;

/** What the core says of a piece, for a student where one is named. */
final class BreakdownController
{
    #[Get('/pieces/{piece}/breakdown', BreakdownResource::class)]
    public function show(Request $request, Piece $piece, CurrentStudio $studio, BreakDown $breakDown): JsonResponse
    {
        $student = $request->filled('student') ? Student::query()->where('studio_id', $studio->get()->id)->findOrFail($request->integer('student')) : null;
        $score = MusicXmlReader::read($piece->music);
        $settings = $student === null ? new Settings() : $student->settingsFor($piece);

        return new JsonResponse(new BreakdownResource(
            PieceResource::of($piece->load('page.book')),
            $breakDown($score->piece, $settings),
            PlaybackResource::of(Playback::whole($score->piece)),
        ));
    }
}
