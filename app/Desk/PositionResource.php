<?php

declare(strict_types=1);

namespace App\Desk;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A piece in another position: where each hand starts, which notes are sharp or flat, and its music. */
#[OA\Schema]
final readonly class PositionResource
{
    /**
     * @param  list<string>  $accidentals
     * @param  list<HandStartResource>  $starts
     */
    public function __construct(
        #[OA\Property]
        public string $key,
        #[ListOf('string')]
        public array $accidentals,
        #[ListOf(HandStartResource::class)]
        public array $starts,
        #[OA\Property]
        public string $music,
    ) {}
}
