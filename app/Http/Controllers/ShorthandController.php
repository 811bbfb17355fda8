<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Api\Post;
use App\Http\Requests\ShorthandChangeRequest;
use App\Http\Requests\ShorthandRequest;
use App\Http\Resources\PlaybackResource;
use App\Http\Resources\PreviewResource;
use App\Http\Resources\PrintedResource;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Score\Piece;

/** What is being typed: its engraving, its sound, and changes to the whole of it. */
final class ShorthandController
{
    #[Post('/shorthand', PreviewResource::class)]
    public function store(ShorthandRequest $request): JsonResponse
    {
        return new JsonResponse(PreviewResource::of(ShorthandReader::read($request->string('shorthand')->toString())));
    }

    #[Post('/shorthand/playback', PlaybackResource::class)]
    public function playback(ShorthandRequest $request): JsonResponse
    {
        return new JsonResponse(PlaybackResource::of(Playback::whole(self::piece($request))));
    }

    #[Post('/shorthand/changed', PrintedResource::class)]
    public function change(ShorthandChangeRequest $request): JsonResponse
    {
        return new JsonResponse(PrintedResource::of(ShorthandWriter::write($request->change(self::piece($request)))));
    }

    private static function piece(ShorthandRequest $request): Piece
    {
        return ShorthandReader::read($request->string('shorthand')->toString())->piece
            ?? throw ValidationException::withMessages(['shorthand' => 'There is no note yet. Begin a line with R or L.']);
    }
}
