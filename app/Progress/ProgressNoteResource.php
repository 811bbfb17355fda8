<?php

declare(strict_types=1);

namespace App\Progress;

use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Score\Clef;
use OpenApi\Attributes as OA;

/** A note the student has met: where it stands, and how well it is known. */
#[OA\Schema]
final readonly class ProgressNoteResource
{
    public function __construct(
        #[OA\Property]
        public Clef $clef,
        #[OA\Property]
        public string $pitch,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public int $step,
        #[OA\Property]
        public int $midi,
        #[OA\Property]
        public NoteStatus $status,
    ) {}
}
