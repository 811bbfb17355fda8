<?php

declare(strict_types=1);

namespace App\Listening;

use App\Http\English;
use Nasturtium\Core\Performance\Hearing\ProposedSlip;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;
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

    public static function of(Piece $piece, ProposedSlip $slip): self
    {
        return new self($slip->kind, English::text($slip->kind->words()), $slip->measure, $piece->measures[$slip->measure]->number, $slip->hand, English::text($slip->why));
    }
}
