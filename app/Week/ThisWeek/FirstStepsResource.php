<?php

declare(strict_types=1);

namespace App\Week\ThisWeek;

use OpenApi\Attributes as OA;

/** What a studio has had once: from an empty one to the first plan that a family got. */
#[OA\Schema]
final readonly class FirstStepsResource
{
    /**
     * @param  bool  $page  with a piece on it
     * @param  bool  $plan  of any week
     * @param  bool  $sent  any plan, ever
     */
    public function __construct(
        #[OA\Property]
        public bool $page,
        #[OA\Property]
        public bool $student,
        #[OA\Property]
        public bool $plan,
        #[OA\Property]
        public bool $sent,
    ) {}
}
