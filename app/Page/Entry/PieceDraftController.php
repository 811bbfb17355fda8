<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\Delete;
use App\Api\Get;
use App\Api\Put;
use App\Page\Piece\Piece;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** What is typed as a correction of a piece. */
final class PieceDraftController
{
    #[Get('/pieces/{piece}/draft', DraftResource::class)]
    public function show(Piece $piece): JsonResponse
    {
        return new JsonResponse(DraftResource::of(Draft::of($piece)));
    }

    /** Answers 409 with the draft that stands when another window has kept one since. */
    #[Put('/pieces/{piece}/draft', DraftResource::class, stands: true)]
    public function update(DraftRequest $request, Piece $piece, KeepDraft $keep): JsonResponse
    {
        [$draft, $kept] = $keep($piece, $request->string('text')->toString(), $request->string('label')->toString(), $request->integer('revision'));

        return new JsonResponse(DraftResource::of($draft), $kept ? 200 : 409);
    }

    #[Delete('/pieces/{piece}/draft')]
    public function destroy(Piece $piece): Response
    {
        Draft::of($piece)?->delete();

        return new Response(status: 204);
    }
}
