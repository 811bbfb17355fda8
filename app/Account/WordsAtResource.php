<?php

declare(strict_types=1);

namespace App\Account;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** Words of the studio for one place or length, as the studio calls it, with what there is to choose from, and the letters they must spell. */
#[OA\Schema]
final readonly class WordsAtResource
{
    /** @param list<string> $choices */
    public function __construct(
        #[OA\Property]
        public string $at,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $words,
        #[ListOf('string')]
        public array $choices,
        #[OA\Property]
        public string $letters = '',
    ) {}
}
