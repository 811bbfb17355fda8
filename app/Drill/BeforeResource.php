<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** What was answered to a card before the session. */
#[OA\Schema]
final readonly class BeforeResource
{
    /** @param list<AnswerResource> $answers */
    public function __construct(
        #[OA\Property]
        public string $card,
        #[ListOf(AnswerResource::class)]
        public array $answers,
    ) {}
}
