<?php

declare(strict_types=1);

namespace App\Api;

use Attribute;
use OpenApi\Attributes as OA;

/** A file to keep. */
#[Attribute(Attribute::TARGET_METHOD)]
final class Download extends OA\Get
{
    public function __construct(string $path)
    {
        parent::__construct(path: "/api{$path}", parameters: Answers::parameters($path), responses: [
            new OA\Response(response: 200, description: 'the file', content: new OA\MediaType('application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary'))),
        ]);
    }
}
