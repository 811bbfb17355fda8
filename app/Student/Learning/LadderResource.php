<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Api\ListOf;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** The rungs of a tempo ladder, for one hand or for both. */
#[OA\Schema]
final readonly class LadderResource
{
    private const HANDS = ['', 'R', 'L'];

    /**
     * @param  list<int>  $rungs  beats a minute, from the start to the goal
     * @param  list<int>  $marks  the rungs with the metronome's marks below them, that a remedy may be at
     */
    public function __construct(
        #[OA\Property(enum: self::HANDS)]
        public string $hand,
        #[OA\Property]
        public bool $own,
        #[OA\Property]
        public ?int $step,
        #[ListOf('integer')]
        public array $rungs,
        #[ListOf('integer')]
        public array $marks,
    ) {}

    /** @return list<self> */
    public static function of(Learning $learning): array
    {
        return array_map(static function (string $hand) use ($learning): self {
            $ladder = $learning->ladder(Hand::tryFrom($hand));

            return new self($hand, $learning->ladders->contains('hand', $hand), $ladder->step, $ladder->rungs(), $ladder->marksToGoal());
        }, self::HANDS);
    }
}
