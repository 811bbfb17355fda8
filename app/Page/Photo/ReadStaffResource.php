<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** What was read of one staff in one bar. */
#[OA\Schema]
final readonly class ReadStaffResource
{
    /**
     * @param int                    $from   column of the line's picture
     * @param list<string>           $doubts why it is in doubt: `sum`, `sign`, `place`; none where it is sure
     * @param list<ReadSignResource> $signs  from left to right
     */
    public function __construct(
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[ListOf('string')]
        public array $doubts,
        #[ListOf(ReadSignResource::class)]
        public array $signs,
    ) {}
}
