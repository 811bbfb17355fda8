<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Api\ListOf;
use App\Models\Learning;
use OpenApi\Attributes as OA;

/** The rungs of a tempo ladder, for one hand or for both. */
#[OA\Schema]
final readonly class LadderResource
{
    private const HANDS = ['', 'R', 'L'];

    /** @param list<int> $rungs beats a minute */
    public function __construct(
        #[OA\Property(enum: self::HANDS)]
        public string $hand,
        #[OA\Property]
        public bool $own,
        #[OA\Property]
        public ?int $step,
        #[ListOf('integer')]
        public array $rungs,
    ) {}

    /** @return list<self> */
    public static function of(Learning $learning): array
    {
        return array_map(static function (string $hand) use ($learning): self {
            $ladder = $learning->ladder($hand);

            return new self($hand, $learning->ladders->contains('hand', $hand), $ladder->step, $ladder->rungs());
        }, self::HANDS);
    }
}
