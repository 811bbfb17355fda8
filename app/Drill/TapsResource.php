<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A rhythm to tap, in milliseconds. */
#[OA\Schema]
final readonly class TapsResource
{
    /**
     * @param  list<string>  $countIn
     * @param  list<int>  $at
     * @param  list<OptionResource>  $said  to the child, by how it went
     */
    public function __construct(
        #[OA\Property]
        public int $beat,
        #[ListOf('string')]
        public array $countIn,
        #[ListOf('integer')]
        public array $at,
        #[ListOf(OptionResource::class)]
        public array $said,
    ) {}
}
