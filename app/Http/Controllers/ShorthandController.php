<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Api\Post;
use App\Http\Requests\ShorthandRequest;
use App\Http\Resources\CheckResource;
use App\Http\Resources\PreviewResource;
use App\Http\Resources\ShorthandErrorResource;
use Illuminate\Http\JsonResponse;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Score\PageChecks;

/** The engraving that grows beside what is typed. */
final class ShorthandController
{
    #[Post('/shorthand', PreviewResource::class)]
    public function store(ShorthandRequest $request): JsonResponse
    {
        $read = ShorthandReader::read($request->string('shorthand')->toString());

        return new JsonResponse(new PreviewResource(
            $read->piece === null ? null : MusicXmlWriter::write($read->piece),
            count($read->piece->measures ?? []),
            array_map(ShorthandErrorResource::of(...), $read->errors),
            $read->piece === null ? [] : array_map(CheckResource::of(...), PageChecks::of($read->piece)),
        ));
    }
}
