<?php

declare(strict_types=1);

namespace App\Demo;

use App\Queue\WorkState;
use OpenApi\Attributes as OA;

/** A demo studio of one's own, and how far it is. */
#[OA\Schema]
final readonly class DemoResource
{
    /**
     * @param ?int   $studioId where it can be entered, once it is made
     * @param int    $done     students
     * @param string $reason   why it could not be made; empty otherwise
     */
    public function __construct(
        #[OA\Property]
        public ?int $studioId,
        #[OA\Property]
        public WorkState $state,
        #[OA\Property]
        public int $done,
        #[OA\Property]
        public int $of,
        #[OA\Property]
        public string $reason,
    ) {}

    public static function of(Demo $demo): self
    {
        return new self($demo->studio_id, $demo->state, $demo->done, $demo->of, $demo->reason);
    }
}
