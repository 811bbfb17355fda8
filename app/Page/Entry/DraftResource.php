<?php

declare(strict_types=1);

namespace App\Page\Entry;

use OpenApi\Attributes as OA;

/** What is typed and not saved yet; revision 0 when there is nothing. */
#[OA\Schema]
final readonly class DraftResource
{
    public function __construct(
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public int $revision,
    ) {}

    public static function of(?Draft $draft): self
    {
        return new self($draft->text ?? '', $draft->label ?? '', $draft->revision ?? 0);
    }
}
