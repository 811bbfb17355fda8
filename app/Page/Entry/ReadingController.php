<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\Post;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

/** What a file holds, looked at before it is put on a page. */
final class ReadingController
{
    #[Post('/readings', ReadingResource::class)]
    public function store(ReadingRequest $request, ReadFile $read): JsonResponse
    {
        $bytes = $request->bytes();
        $parts = $read->parts($bytes);
        try {
            $score = $read($bytes, $request->choice(), $request->grid(), $request->pickup());

            return new JsonResponse(ReadingResource::of($score, $parts, $request->grid(), $bytes));
        } catch (ValidationException $reason) {
            // With several parts and none chosen, what is in the file is the answer.
            if (count($parts) < 2 || $request->choice() !== null) {
                throw $reason;
            }

            return new JsonResponse(ReadingResource::undecided($parts));
        }
    }
}
