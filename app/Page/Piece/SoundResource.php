<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Api\ListOf;
use Nasturtium\Core\Performance\Sound;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A note or chord to sound: beats from the first note, keys as MIDI numbers. */
#[OA\Schema]
final readonly class SoundResource
{
    /**
     * @param  list<int>  $keys
     * @param  list<float>  $held  beats, for each key
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public Hand $hand,
        #[OA\Property]
        public float $at,
        #[ListOf('integer')]
        public array $keys,
        #[ListOf('number')]
        public array $held,
    ) {}

    public static function of(Sound $sound): self
    {
        return new self(
            $sound->id,
            $sound->hand,
            $sound->at->toFloat(),
            $sound->keys,
            array_map(static fn (int $key): float => $sound->held($key)->toFloat(), $sound->keys),
        );
    }
}
