<?php

declare(strict_types=1);

namespace App\Desk;

use App\Account\CurrentStudio;
use App\Api\Get;
use App\Page\Piece\Piece;
use App\Student\ForStudent;
use Illuminate\Http\JsonResponse;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;

/** A piece in another five-finger position. */
final class PositionController
{
    #[Get('/pieces/{piece}/position', PositionResource::class)]
    public function show(PositionRequest $request, Piece $piece, CurrentStudio $studio, ForStudent $student, SettingsFor $settingsFor, MovePiece $move): JsonResponse
    {
        $settings = $settingsFor($studio->get(), $piece, $student->get());
        $moved = $move($piece->score(), $settings, $request->key(), $request->integer('direction'));

        return new JsonResponse(new PositionResource(
            $moved->piece->key()->name(),
            $moved->accidentals,
            array_map(HandStartResource::of(...), $moved->starts),
            MusicXmlWriter::write($moved->piece),
        ));
    }
}
