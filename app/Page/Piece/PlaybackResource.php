<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Api\ListOf;
use Nasturtium\Core\Performance\Playback;
use OpenApi\Attributes as OA;

/** What sounds when, in beats from the first note, with the count-in before it. */
#[OA\Schema]
final readonly class PlaybackResource
{
    /**
     * @param  list<string>  $counts
     * @param  float  $countBeats  how long each count is
     * @param  float  $countGap  from the last count to the first note
     * @param  list<SoundResource>  $sounds
     * @param  list<ClickResource>  $clicks
     * @param  list<PlayedBarResource>  $bars
     */
    public function __construct(
        #[ListOf('string')]
        public array $counts,
        #[OA\Property]
        public string $enter,
        #[OA\Property]
        public float $countBeats,
        #[OA\Property]
        public float $countGap,
        #[OA\Property]
        public float $beats,
        #[ListOf(SoundResource::class)]
        public array $sounds,
        #[ListOf(ClickResource::class)]
        public array $clicks,
        #[ListOf(PlayedBarResource::class)]
        public array $bars,
    ) {}

    public static function of(Playback $playback): self
    {
        return new self(
            $playback->countIn->counts,
            $playback->countIn->enter,
            $playback->countBeats->toFloat(),
            $playback->countGap->toFloat(),
            $playback->beats->toFloat(),
            array_map(SoundResource::of(...), $playback->sounds),
            array_map(ClickResource::of(...), $playback->clicks),
            array_map(static fn (array $bar): PlayedBarResource => new PlayedBarResource($bar['index'], $bar['at']->toFloat()), $playback->bars),
        );
    }
}
