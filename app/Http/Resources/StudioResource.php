<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Studio;
use OpenApi\Attributes as OA;

/** A studio and its settings; `today` is the date where it is. */
#[OA\Schema]
final readonly class StudioResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: ['us', 'uk'])]
        public string $words,
        #[OA\Property(enum: ['a4', 'letter'])]
        public string $paper,
        #[OA\Property]
        public string $timezone,
        #[OA\Property]
        public string $today,
    ) {}

    public static function of(Studio $studio): self
    {
        return new self($studio->id, $studio->name, $studio->words, $studio->paper, $studio->timezone, $studio->today()->toDateString());
    }
}
