<?php

declare(strict_types=1);

namespace App\Page\Entry;

use Nasturtium\Core\Formats\Shorthand\Span;
use OpenApi\Attributes as OA;

/** Where a note was typed, line and column from 1, and the bar it is in, counted from 0. */
#[OA\Schema]
final readonly class SpanResource
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public int $bar,
        #[OA\Property]
        public int $line,
        #[OA\Property]
        public int $column,
        #[OA\Property]
        public int $length,
    ) {}

    public static function of(string $id, int $bar, Span $span): self
    {
        return new self($id, $bar, $span->line, $span->column, $span->length());
    }
}
