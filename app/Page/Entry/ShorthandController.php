<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\Post;
use App\Page\Piece\PlaybackResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\Shorthand\PlayedKeys;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Piece;

/** What is being typed: its engraving, its sound, and changes to the whole of it. */
final class ShorthandController
{
    #[Post('/shorthand', PreviewResource::class)]
    public function store(ShorthandRequest $request): JsonResponse
    {
        return new JsonResponse(PreviewResource::of(ShorthandReader::read($request->string('shorthand')->toString())));
    }

    /** The whole of it in play order, or the bars from one to another as they are written. */
    #[Post('/shorthand/playback', PlaybackResource::class)]
    public function playback(ShorthandPlaybackRequest $request): JsonResponse
    {
        return new JsonResponse(PlaybackResource::of($request->playback(self::piece($request))));
    }

    #[Post('/shorthand/changed', PrintedResource::class)]
    public function change(ShorthandChangeRequest $request): JsonResponse
    {
        return new JsonResponse(PrintedResource::of(ShorthandWriter::write($request->change(self::piece($request)))));
    }

    #[Post('/shorthand/keys', TypedKeysResource::class)]
    public function keys(PlayedKeysRequest $request): JsonResponse
    {
        try {
            return new JsonResponse(new TypedKeysResource(PlayedKeys::typed($request->string('text')->toString(), $request->struck())));
        } catch (Refusal $reason) {
            throw ValidationException::withMessages(['text' => $reason->getMessage()]);
        }
    }

    private static function piece(ShorthandRequest $request): Piece
    {
        return ShorthandReader::read($request->string('shorthand')->toString())->piece
            ?? throw ValidationException::withMessages(['shorthand' => 'There is no note yet. Begin a line with R or L.']);
    }
}
