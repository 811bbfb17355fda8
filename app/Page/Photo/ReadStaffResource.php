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
     * @param list<string>           $doubts why it is in doubt, as `PhotoDocument` tells it; none where it is sure
     * @param list<ReadSignResource> $signs  from left to right
     * @param int                    $at     which of them is in doubt, from 0
     * @param bool                   $other  whether it was read otherwise another time
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
        #[OA\Property]
        public int $at,
        #[OA\Property]
        public bool $other,
    ) {}
}
