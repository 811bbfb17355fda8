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
    ) {}
}
