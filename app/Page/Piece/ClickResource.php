<?php

declare(strict_types=1);

namespace App\Page\Piece;

use Nasturtium\Core\Performance\Click;
use OpenApi\Attributes as OA;

/** A beat of the metronome, in beats from the first note. */
#[OA\Schema]
final readonly class ClickResource
{
    public function __construct(
        #[OA\Property]
        public float $at,
        #[OA\Property]
        public bool $accent,
    ) {}

    public static function of(Click $click): self
    {
        return new self($click->at->toFloat(), $click->accent);
    }
}
