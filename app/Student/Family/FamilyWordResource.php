<?php

declare(strict_types=1);

namespace App\Student\Family;

use OpenApi\Attributes as OA;

/** What a parent wrote to the teacher on a day. */
#[OA\Schema]
final readonly class FamilyWordResource
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public string $words,
    ) {}

    public static function of(FamilyWord $word): self
    {
        return new self($word->on_date->toDateString(), $word->words);
    }
}
