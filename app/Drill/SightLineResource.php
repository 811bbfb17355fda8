<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\ListOf;
use App\Page\Piece\PlaybackResource;
use Nasturtium\Core\Sight\SightWent;
use OpenApi\Attributes as OA;

/** A line at sight of a day. */
#[OA\Schema]
final readonly class SightLineResource
{
    /** @param list<string> $reasons why it has its level */
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property(description: '1 to 10')]
        public int $level,
        #[ListOf('string')]
        public array $reasons,
        #[OA\Property(description: 'MusicXML')]
        public string $music,
        #[OA\Property]
        public PlaybackResource $playback,
        #[OA\Property]
        public ?SightWent $went,
    ) {}
}
