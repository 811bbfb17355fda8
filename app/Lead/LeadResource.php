<?php

declare(strict_types=1);

namespace App\Lead;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A led run: its steps, and the music that they need. */
#[OA\Schema]
final readonly class LeadResource
{
    /**
     * @param  list<LeadStepResource>  $steps
     * @param  list<LeadPieceResource>  $pieces
     * @param  list<LeadPhraseResource>  $phrases
     */
    public function __construct(
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $date,
        #[OA\Property(description: 'of a make-up lesson')]
        public ?string $title,
        #[ListOf(LeadStepResource::class)]
        public array $steps,
        #[ListOf(LeadPieceResource::class)]
        public array $pieces,
        #[ListOf(LeadPhraseResource::class)]
        public array $phrases,
    ) {}
}
