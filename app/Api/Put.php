<?php

declare(strict_types=1);

namespace App\Api;

use Attribute;
use OpenApi\Attributes as OA;

#[Attribute(Attribute::TARGET_METHOD)]
final class Put extends OA\Put
{
    /**
     * @param  class-string|null  $gives  the schema that is answered; null for nothing
     * @param  bool  $stands  with 409, the row that stands is answered where it is newer than the one that was changed
     */
    public function __construct(string $path, ?string $gives = null, bool $many = false, bool $stands = false)
    {
        parent::__construct(path: "/api{$path}", parameters: Answers::parameters($path), responses: [...Answers::with($gives, $many), ...$stands ? [Answers::standing($gives)] : []]);
    }
}
