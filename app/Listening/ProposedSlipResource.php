<?php

declare(strict_types=1);

namespace App\Listening;

use App\Http\English;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A slip that a take proposes; the teacher notes it or not. */
#[OA\Schema]
final readonly class ProposedSlipResource
{
    public function __construct(
        #[OA\Property]
        public Slip $kind,
        #[OA\Property]
        public string $words,
        #[OA\Property(description: 'index in the piece')]
        public int $measure,
        #[OA\Property(description: 'as printed')]
        public int $bar,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public string $why,
    ) {}

    /** As it was kept, in the words of the studio. */
    public static function of(string $kind, int $measure, int $bar, ?string $hand, string $why): self
    {
        $slip = Slip::from($kind);

        return new self($slip, English::text($slip->words()), $measure, $bar, $hand === null ? null : Hand::from($hand), English::text($why));
    }
}
