<?php

declare(strict_types=1);

namespace App\Page\Photo;

use OpenApi\Attributes as OA;

/** How well the pages of a studio were read, by what was corrected. */
#[OA\Schema]
final readonly class PhotoFiguresResource
{
    public function __construct(
        #[OA\Property]
        public int $pages,
        #[OA\Property]
        public int $notes,
        #[OA\Property]
        public int $right,
        #[OA\Property]
        public int $fingers,
        #[OA\Property]
        public int $known,
        #[OA\Property]
        public int $doubts,
        #[OA\Property]
        public int $needless,
    ) {}

    /** @param array<string, int> $sums as PhotoFigure tells them */
    public static function of(array $sums): self
    {
        return new self($sums['pages'], $sums['notes'], $sums['right'], $sums['fingers'], $sums['known'], $sums['doubts'], $sums['needless']);
    }
}
