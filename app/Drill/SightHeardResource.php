<?php

declare(strict_types=1);

namespace App\Drill;

use App\Listening\TakeHeardResource;
use Nasturtium\Core\Sight\SightWent;
use OpenApi\Attributes as OA;

/** What was heard of a line at sight, and how it went by that. */
#[OA\Schema]
final readonly class SightHeardResource
{
    public function __construct(
        #[OA\Property]
        public SightWent $went,
        #[OA\Property]
        public TakeHeardResource $heard,
    ) {}
}
