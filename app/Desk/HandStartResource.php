<?php

declare(strict_types=1);

namespace App\Desk;

use App\Api\ListOf;
use Nasturtium\Core\Fingering\HandStart;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** How a hand begins: keys and fingers, lowest first; 0 is a note without a finger. */
#[OA\Schema]
final readonly class HandStartResource
{
    /**
     * @param  list<string>  $pitches
     * @param  list<int>  $fingers
     * @param  list<string>  $keys
     */
    public function __construct(
        #[OA\Property]
        public Hand $hand,
        #[ListOf('string')]
        public array $pitches,
        #[ListOf('integer')]
        public array $fingers,
        #[OA\Property]
        public string $thumb,
        #[ListOf('string')]
        public array $keys,
    ) {}

    public static function of(HandStart $start): self
    {
        return new self($start->hand, $start->pitches, array_map(intval(...), $start->fingers), $start->thumb, $start->keys);
    }
}
