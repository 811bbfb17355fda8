<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\OpenPiece;
use App\Actions\StorePiece;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Api\Put;
use App\Http\Requests\PieceRequest;
use App\Http\Resources\PieceResource;
use App\Models\Page;
use App\Models\Piece;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** The pieces of a page. */
final class PieceController
{
    #[Post('/pages/{page}/pieces', PieceResource::class)]
    public function store(PieceRequest $request, Page $page, StorePiece $store): JsonResponse
    {
        $file = $request->file('file');
        $label = $request->string('label')->toString();
        $piece = $file instanceof UploadedFile
            ? $store->fromFile($page, (string) file_get_contents($file->getRealPath()), $label)
            : $store->fromShorthand($page, $request->string('shorthand')->toString(), $label);

        return $this->answer($piece);
    }

    #[Get('/pieces/{piece}', PieceResource::class)]
    public function show(Piece $piece): JsonResponse
    {
        return $this->answer($piece);
    }

    #[Put('/pieces/{piece}', PieceResource::class)]
    public function update(PieceRequest $request, Piece $piece, StorePiece $store, OpenPiece $open): JsonResponse
    {
        $store->retype($piece, $request->string('shorthand')->toString(), $request->string('label')->toString());
        foreach ($piece->learnings()->with('piece')->get() as $learning) {
            $open->again($learning);
        }

        return $this->answer($piece);
    }

    #[Delete('/pieces/{piece}')]
    public function destroy(Piece $piece): Response
    {
        $piece->delete();

        return new Response(status: 204);
    }

    private function answer(Piece $piece): JsonResponse
    {
        return new JsonResponse(PieceResource::of($piece->load('page.book')));
    }
}
