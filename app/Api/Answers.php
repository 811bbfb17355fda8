<?php

declare(strict_types=1);

namespace App\Api;

use OpenApi\Attributes as OA;

/** What an operation answers, and what it is given, for the description of the API. */
final class Answers
{
    /** Parts of paths that are no numbers. */
    private const TEXTS = ['date', 'key', 'token'];

    /** @return list<OA\Response> */
    public static function with(?string $schema, bool $many): array
    {
        if ($schema === null) {
            return [new OA\Response(response: 204, description: 'done')];
        }

        return [new OA\Response(response: 200, description: 'the answer', content: $many
            ? new OA\JsonContent(type: 'array', items: new OA\Items(ref: $schema))
            : new OA\JsonContent(ref: $schema))];
    }

    public static function standing(?string $schema): OA\Response
    {
        return new OA\Response(response: 409, description: 'what stands; it is newer than what was changed', content: new OA\JsonContent(ref: $schema));
    }

    /** @return list<OA\PathParameter> one for each {name} of the path */
    public static function parameters(string $path): array
    {
        preg_match_all('/\{(\w+)\}/', $path, $found);

        return array_map(static fn (string $name): OA\PathParameter => new OA\PathParameter(name: $name, required: true, schema: new OA\Schema(type: in_array($name, self::TEXTS, true) ? 'string' : 'integer')), $found[1]);
    }
}
