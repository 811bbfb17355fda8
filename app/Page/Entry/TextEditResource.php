<?php

declare(strict_types=1);

namespace App\Page\Entry;

use Nasturtium\Core\Formats\Shorthand\TextEdit;
use OpenApi\Attributes as OA;

/** So many characters at a line and column (from 1) give way to others. */
#[OA\Schema]
final readonly class TextEditResource
{
    public function __construct(
        #[OA\Property]
        public int $line,
        #[OA\Property]
        public int $column,
        #[OA\Property]
        public int $length,
        #[OA\Property]
        public string $insert,
    ) {}

    public static function of(TextEdit $edit): self
    {
        return new self($edit->line, $edit->column, $edit->length, $edit->insert);
    }
}
