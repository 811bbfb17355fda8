<?php

declare(strict_types=1);

namespace App\Week\ThisWeek;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A student on the first screen: the next lesson, the leaf, what is stuck and what waits. */
#[OA\Schema]
final readonly class ThisWeekResource
{
    /**
     * @param  ?int  $teacherId  of the members; null: whoever leads the studio
     * @param  bool  $held  the lesson is finished
     * @param  list<LeafDayResource>  $leaf
     * @param  list<string>  $stuck
     * @param  list<string>  $waiting
     * @param  list<string>  $pieces
     * @param  list<string>  $reviewsDue  titles
     * @param  list<string>  $left  what didn’t fit, and why
     */
    public function __construct(
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public ?int $teacherId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public int $age,
        #[OA\Property]
        public string $lessonOn,
        #[OA\Property]
        public string $lessonTime,
        #[OA\Property]
        public bool $held,
        #[OA\Property]
        public ?int $weekId,
        #[ListOf(LeafDayResource::class)]
        public array $leaf,
        #[ListOf('string')]
        public array $stuck,
        #[ListOf('string')]
        public array $waiting,
        #[ListOf('string')]
        public array $pieces,
        #[ListOf('string')]
        public array $reviewsDue,
        #[ListOf('string')]
        public array $left,
    ) {}
}
