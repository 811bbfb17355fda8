<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Page\Entry\PrintedResource;
use App\Page\Entry\ReadFile;
use App\Page\Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Formats\Shorthand\WrittenShorthand;

/** The pieces of a page. */
final class PieceController
{
    #[Post('/pages/{page}/pieces', PieceResource::class)]
    public function store(PieceRequest $request, Page $page, StorePiece $store, ReadFile $read): JsonResponse
    {
        $label = $request->string('label')->toString();
        $piece = $request->hasFile('file')
            ? $store->fromScore($page, $read($request->bytes(), $request->how()), $label)
            : $store->fromShorthand($page, $request->string('shorthand')->toString(), $label);

        return $this->answer($piece);
    }

    #[Get('/pieces/{piece}', PieceResource::class)]
    public function show(Piece $piece): JsonResponse
    {
        return $this->answer($piece);
    }

    /** The piece as it is typed, or would be. */
    #[Get('/pieces/{piece}/shorthand', PrintedResource::class)]
    public function shorthand(Piece $piece): JsonResponse
    {
        return new JsonResponse(PrintedResource::of($piece->shorthand === null && $piece->isTyped()
            ? ShorthandWriter::write($piece->score())
            : new WrittenShorthand($piece->shorthand ?? '', [])));
    }

    /** Answers 409 with the piece that stands when it was saved elsewhere since. */
    #[Put('/pieces/{piece}', PieceResource::class, stands: true)]
    public function update(PieceRequest $request, Piece $piece, StorePiece $store): JsonResponse
    {
        if ($request->filled('revision') && $request->integer('revision') !== $piece->revision) {
            return $this->answer($piece, 409);
        }
        $store->retype($piece, $request->string('shorthand')->toString(), $request->string('label')->toString());

        return $this->answer($piece);
    }

    #[Delete('/pieces/{piece}')]
    public function destroy(Piece $piece): Response
    {
        $piece->delete();

        return new Response(status: 204);
    }

    private function answer(Piece $piece, int $status = 200): JsonResponse
    {
        return new JsonResponse(PieceResource::of($piece), $status);
    }
}
