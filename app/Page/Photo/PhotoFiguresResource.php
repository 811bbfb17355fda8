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

    public static function ofStudio(int $studioId): self
    {
        $sums = PhotoFigure::query()->where('studio_id', $studioId)->toBase()
            ->selectRaw('count(*) as pages, sum(notes) as notes, sum(`right`) as `right`, sum(fingers) as fingers, sum(known) as known, sum(doubts) as doubts, sum(needless) as needless')->first();
        $sum = static fn (string $name): int => is_numeric($sums->{$name} ?? null) ? (int) $sums->{$name} : 0;

        return new self($sum('pages'), $sum('notes'), $sum('right'), $sum('fingers'), $sum('known'), $sum('doubts'), $sum('needless'));
    }
}
