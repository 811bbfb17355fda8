<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Api\ListOf;
use App\Student\Family\FamilyWordResource;
use App\Student\Learning\NextPageResource;
use App\Student\Learning\Stuck\StuckResource;
use Nasturtium\Core\Practice\Attendance;
use Nasturtium\Core\Practice\Calendar\LessonState;
use OpenApi\Attributes as OA;

/** A lesson: the week it hears, its marks and slips, and the week that follows. */
#[OA\Schema]
final readonly class LessonResource
{
    /**
     * @param  string  $time  it begins, as 15:30
     * @param  ?int  $weekId  the week that is heard
     * @param  list<FamilyWordResource>  $familyWords  to the teacher, since the lesson before
     * @param  list<LessonCardResource>  $cards
     * @param  list<SlipResource>  $slips
     * @param  list<SlipKindResource>  $slipKinds
     * @param  list<RemedyResource>  $remedies  that next week will have
     * @param  list<StuckResource>  $stuck
     * @param  list<NextPageResource>  $nextPages
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $heldOn,
        #[OA\Property]
        public LessonState $state,
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public string $privateNote,
        #[OA\Property]
        public string $sharedNote,
        #[ListOf(FamilyWordResource::class)]
        public array $familyWords,
        #[OA\Property]
        public ?string $finishedAt,
        #[OA\Property]
        public Attendance $attendance,
        #[OA\Property]
        public string $time,
        #[OA\Property]
        public ?int $weekId,
        #[ListOf(LessonCardResource::class)]
        public array $cards,
        #[ListOf(SlipResource::class)]
        public array $slips,
        #[ListOf(SlipKindResource::class)]
        public array $slipKinds,
        #[OA\Property]
        public ?int $nextWeekId,
        #[ListOf(RemedyResource::class)]
        public array $remedies,
        #[ListOf(StuckResource::class)]
        public array $stuck,
        #[ListOf(NextPageResource::class)]
        public array $nextPages,
    ) {}
}
