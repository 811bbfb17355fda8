<?php

declare(strict_types=1);

namespace App\Page\Photo;

use OpenApi\Attributes as OA;

/** For which page a phone sends its picture, and whether it has. */
#[OA\Schema]
final readonly class CameraResource
{
    public function __construct(
        #[OA\Property]
        public string $where,
        #[OA\Property]
        public bool $sent,
    ) {}

    public static function of(PhotoLink $link): self
    {
        return new self($link->photo->page->inBook(), $link->used_at !== null);
    }
}
