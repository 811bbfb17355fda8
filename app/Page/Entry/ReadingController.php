<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\Post;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\Readers\MusicFormats;

/** What a file holds, looked at before it is put on a page. */
final class ReadingController
{
    #[Post('/readings', ReadingResource::class)]
    public function store(ReadingRequest $request, ReadFile $read): JsonResponse
    {
        $bytes = $request->bytes();
        $how = $request->how();
        $parts = $read->parts($bytes);
        try {
            return new JsonResponse(ReadingResource::of($read($bytes, $how), $parts, $how->grid, MusicFormats::of($bytes)));
        } catch (ValidationException $reason) {
            // With several parts and none chosen, what is in the file is the answer.
            if (count($parts) < 2 || $how->parts !== null) {
                throw $reason;
            }

            return new JsonResponse(ReadingResource::undecided($parts));
        }
    }
}
