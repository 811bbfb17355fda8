<?php

declare(strict_types=1);

namespace App\Student;

use App\Api\ListOf;
use App\Student\Family\FamilyLinkResource;
use App\Student\Learning\LearningResource;
use App\Student\Learning\OpenedPieceResource;
use App\Student\Learning\StudentBookResource;
use App\Student\Performances\PerformanceResource;
use App\Student\Timetable\HolidayResource;
use App\Student\Timetable\LessonDayResource;
use OpenApi\Attributes as OA;

/** Everything about one student that the teacher sees on their page. */
#[OA\Schema]
final readonly class StudentDetailResource
{
    /**
     * @param  list<LearningResource>  $learnings  those that are open, and the newest that are signed off
     * @param  list<OpenedPieceResource>  $opened  all pieces, the newest first
     * @param  list<StudentBookResource>  $books  that the student is in
     * @param  list<FamilyLinkResource>  $links
     * @param  list<LessonDayResource>  $lessons  in sight
     * @param  list<HolidayResource>  $holidays  of this student, and of all, that are not over
     * @param  list<PerformanceResource>  $performances  that are not over, the next first
     */
    public function __construct(
        #[OA\Property]
        public StudentResource $student,
        #[ListOf(LearningResource::class)]
        public array $learnings,
        #[ListOf(OpenedPieceResource::class)]
        public array $opened,
        #[ListOf(StudentBookResource::class)]
        public array $books,
        #[ListOf(FamilyLinkResource::class)]
        public array $links,
        #[OA\Property(description: 'percent of the estimated times, measured at home; null while too few tasks were')]
        public ?int $measuredPace,
        #[OA\Property]
        public ?int $weekId,
        #[ListOf(LessonDayResource::class)]
        public array $lessons,
        #[ListOf(HolidayResource::class)]
        public array $holidays,
        #[ListOf(PerformanceResource::class)]
        public array $performances,
    ) {}
}
