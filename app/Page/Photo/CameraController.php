<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Api\Get;
use App\Api\Post;
use Illuminate\Container\Attributes\Authenticated;
use Illuminate\Http\JsonResponse;

/** What a phone opens to send the picture of one page. */
final class CameraController
{
    #[Get('/camera', CameraResource::class)]
    public function show(#[Authenticated('camera')] PhotoLink $link): JsonResponse
    {
        return new JsonResponse(CameraResource::of($link));
    }

    /** One picture a link; one that cannot be a picture leaves the link open. */
    #[Post('/camera', CameraResource::class)]
    public function store(PhotoRequest $request, #[Authenticated('camera')] PhotoLink $link, TakePhoto $take): JsonResponse
    {
        // The one who sends it twice has it read once.
        if ($link->claim()) {
            try {
                $take($link->photo, (string) file_get_contents($request->uploaded()), 1);
            } catch (\Throwable $reason) {
                $link->release();

                throw $reason;
            }
        }

        return new JsonResponse(CameraResource::of($link->refresh()->load('photo.page.book')));
    }
}
