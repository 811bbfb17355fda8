<?php

declare(strict_types=1);

namespace App\Student\Learning\Stuck;

use Nasturtium\Core\Practice\Relief;
use OpenApi\Attributes as OA;

/** What can be done about a stage that is stuck. */
#[OA\Schema]
final readonly class ReliefResource
{
    public function __construct(
        #[OA\Property]
        public Relief $relief,
        #[OA\Property]
        public string $words,
    ) {}

    public static function of(Relief $relief): self
    {
        return new self($relief, $relief->words());
    }
}
