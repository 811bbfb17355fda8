<?php

declare(strict_types=1);

namespace App\Student\Performances;

use App\Api\ListOf;
use App\Student\Learning\Learning;
use OpenApi\Attributes as OA;

/** Pieces that a student plays to others on a day. */
#[OA\Schema]
final readonly class PerformanceResource
{
    /**
     * @param  list<int>  $learningIds  in the order they are played
     * @param  list<string>  $pieces  their titles
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $date,
        #[ListOf('integer')]
        public array $learningIds,
        #[ListOf('string')]
        public array $pieces,
    ) {}

    /** @param Performance $performance with the pieces of its pieces */
    public static function of(Performance $performance): self
    {
        return new self(
            $performance->id,
            $performance->title,
            $performance->on_date->toDateString(),
            array_values($performance->pieces->map(static fn (Learning $learning): int => $learning->id)->all()),
            array_values($performance->pieces->map(static fn (Learning $learning): string => $learning->piece->title)->all()),
        );
    }
}
