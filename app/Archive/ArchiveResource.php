<?php

declare(strict_types=1);

namespace App\Archive;

use App\Queue\WorkState;
use OpenApi\Attributes as OA;

/** An archive of a studio that is packed or put back, and how far it is. */
#[OA\Schema]
final readonly class ArchiveResource
{
    /**
     * @param int    $done   tables
     * @param string $reason why it was refused; empty otherwise
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public ArchiveKind $kind,
        #[OA\Property]
        public WorkState $state,
        #[OA\Property]
        public int $done,
        #[OA\Property]
        public int $of,
        #[OA\Property]
        public string $reason,
        #[OA\Property]
        public string $at,
    ) {}

    public static function of(Archive $archive): self
    {
        return new self($archive->id, $archive->kind, $archive->state, $archive->done, $archive->of, $archive->reason, $archive->created_at->toIso8601String());
    }
}
