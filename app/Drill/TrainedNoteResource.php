<?php

declare(strict_types=1);

namespace App\Drill;

use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Score\Clef;
use OpenApi\Attributes as OA;

/** A note with its state, and how it was answered of late. */
#[OA\Schema]
final readonly class TrainedNoteResource
{
    /** @param string $id in the drawing of the chart */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public Clef $clef,
        #[OA\Property]
        public string $pitch,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public int $midi,
        #[OA\Property]
        public NoteStatus $status,
        #[OA\Property]
        public int $answers,
        #[OA\Property(description: 'of the answers')]
        public int $right,
        #[OA\Property(description: 'milliseconds; null without an answer')]
        public ?int $median,
    ) {}
}
