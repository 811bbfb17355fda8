<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Api\Delete;
use App\Api\Download;
use App\Api\Get;
use App\Http\JpegAnswer;
use App\Page\Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Photos that a teacher keeps with their page. No family sees them. */
final class KeptPhotoController
{
    #[Get('/pages/{page}/kept-photos', KeptPhotoResource::class, many: true)]
    public function index(Page $page): JsonResponse
    {
        return new JsonResponse(KeptPhoto::query()->where('page_id', $page->id)->orderBy('id')->pluck('id')->map(static fn (int $id): KeptPhotoResource => new KeptPhotoResource($id)));
    }

    #[Download('/kept-photos/{keptPhoto}')]
    public function show(KeptPhoto $keptPhoto): Response
    {
        return JpegAnswer::of((string) base64_decode($keptPhoto->picture, true));
    }

    #[Delete('/kept-photos/{keptPhoto}')]
    public function destroy(KeptPhoto $keptPhoto): Response
    {
        $keptPhoto->delete();

        return new Response(status: 204);
    }
}
