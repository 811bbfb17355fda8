<?php

declare(strict_types=1);

namespace App\Drill;

use App\Student\KnownNoteResource;
use OpenApi\Attributes as OA;

/** A note with how it was answered of late. */
#[OA\Schema]
final readonly class TrainedNoteResource
{
    public function __construct(
        #[OA\Property]
        public KnownNoteResource $note,
        #[OA\Property]
        public int $answers,
        #[OA\Property(description: 'of the answers')]
        public int $right,
        #[OA\Property(description: 'milliseconds; null without an answer')]
        public ?int $median,
    ) {}
}
