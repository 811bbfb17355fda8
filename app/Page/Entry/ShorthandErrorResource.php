<?php

declare(strict_types=1);

namespace App\Page\Entry;

use Nasturtium\Core\Formats\Shorthand\ShorthandError;
use OpenApi\Attributes as OA;

/** A token that cannot stand where it is; line and column count from 1. */
#[OA\Schema]
final readonly class ShorthandErrorResource
{
    public function __construct(
        #[OA\Property]
        public int $line,
        #[OA\Property]
        public int $column,
        #[OA\Property]
        public int $length,
        #[OA\Property]
        public string $text,
    ) {}

    public static function of(ShorthandError $error): self
    {
        return new self($error->line, $error->column, $error->length, $error->text);
    }
}
