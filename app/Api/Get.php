<?php

declare(strict_types=1);

namespace App\Api;

use Attribute;
use OpenApi\Attributes as OA;

#[Attribute(Attribute::TARGET_METHOD)]
final class Get extends OA\Get
{
    /**
     * @param  class-string|null  $gives  the schema that is answered; null for nothing
     * @param  array<string, string>  $query  types of what may stand after the question mark, where no request says it
     */
    public function __construct(string $path, ?string $gives = null, bool $many = false, array $query = [])
    {
        $asked = array_map(static fn (string $name, string $type): OA\QueryParameter => new OA\QueryParameter(name: $name, schema: new OA\Schema(type: $type)), array_keys($query), $query);
        parent::__construct(path: "/api{$path}", parameters: [...Answers::parameters($path), ...$asked], responses: Answers::with($gives, $many));
    }
}
