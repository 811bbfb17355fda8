<?php

declare(strict_types=1);

namespace App\Api;

use Attribute;
use OpenApi\Attributes as OA;

/** A property that is a list: of a schema class, or of a plain type such as `string`. */
#[Attribute(Attribute::TARGET_PROPERTY | Attribute::TARGET_PARAMETER)]
final class ListOf extends OA\Property
{
    public function __construct(string $of)
    {
        parent::__construct(type: 'array', items: class_exists($of) ? new OA\Items(ref: $of) : new OA\Items(type: $of));
    }
}
