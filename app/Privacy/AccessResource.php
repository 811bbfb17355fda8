<?php

declare(strict_types=1);

namespace App\Privacy;

use OpenApi\Attributes as OA;

/** That somebody looked at a student's data on a day, or took it out. */
#[OA\Schema]
final readonly class AccessResource
{
    public function __construct(
        #[OA\Property]
        public string $who,
        #[OA\Property(enum: Access::KINDS)]
        public string $what,
        #[OA\Property]
        public string $date,
    ) {}

    public static function of(Access $access): self
    {
        return new self($access->who, $access->what, $access->on_date->toDateString());
    }
}
