<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SettingsFor;
use App\Api\Get;
use App\Http\CurrentStudio;
use App\Http\Requests\PositionRequest;
use App\Http\Resources\HandStartResource;
use App\Http\Resources\PositionResource;
use App\Models\Piece;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\OtherPosition;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;

/** A piece in another five-finger position. */
final class PositionController
{
    #[Get('/pieces/{piece}/position', PositionResource::class)]
    public function show(PositionRequest $request, Piece $piece, CurrentStudio $studio, SettingsFor $settingsFor): JsonResponse
    {
        $score = $piece->score();
        $settings = $settingsFor($studio->get(), $piece, $request->student($studio->get()));
        try {
            $moved = OtherPosition::of($score, [
                'R' => FingerSearch::for($score, Hand::Right, $settings->fingers),
                'L' => FingerSearch::for($score, Hand::Left, $settings->fingers),
            ], $request->key(), $request->integer('direction'));
        } catch (InvalidScore $reason) {
            throw ValidationException::withMessages(['key' => "It cannot be moved there: {$reason->getMessage()}."]);
        }

        return new JsonResponse(new PositionResource(
            $moved->piece->key()->name(),
            $moved->accidentals,
            array_map(HandStartResource::of(...), $moved->starts),
            MusicXmlWriter::write($moved->piece),
        ));
    }
}
