<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Api\ListOf;
use Nasturtium\Core\Performance\Playback;
use OpenApi\Attributes as OA;

/** What sounds when, in beats from the first note, with the count-in before it. */
#[OA\Schema]
final readonly class PlaybackResource
{
    /**
     * @param  list<string>  $counts
     * @param  list<SoundResource>  $sounds
     */
    public function __construct(
        #[ListOf('string')]
        public array $counts,
        #[OA\Property]
        public string $enter,
        #[OA\Property]
        public int $accent,
        #[OA\Property]
        public float $enters,
        #[OA\Property]
        public float $beats,
        #[ListOf(SoundResource::class)]
        public array $sounds,
    ) {}

    public static function of(Playback $playback): self
    {
        return new self(
            $playback->countIn->counts,
            $playback->countIn->enter,
            $playback->accent,
            $playback->enters->toFloat(),
            $playback->beats->toFloat(),
            array_map(static fn (array $sound): SoundResource => new SoundResource(
                $sound['id'],
                $sound['hand']->value,
                $sound['at']->toFloat(),
                $sound['beats']->toFloat(),
                $sound['keys'],
            ), $playback->sounds),
        );
    }
}
