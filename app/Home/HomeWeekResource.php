<?php

declare(strict_types=1);

namespace App\Home;

use App\Api\ListOf;
use App\Student\Family\HomeChildResource;
use App\Week\WeekDayResource;
use Nasturtium\Core\Counting\NoteWords;
use OpenApi\Attributes as OA;

/** The week at home: its tasks, which of them stand on which day, and what the teacher says. */
#[OA\Schema]
final readonly class HomeWeekResource
{
    /**
     * @param  string  $word  what a parent wrote to the teacher today
     * @param  list<HomeTaskResource>  $tasks
     * @param  list<WeekDayResource>  $days
     * @param  list<HomeChildResource>  $children  all that the link opens for
     * @param  list<HomeLedLessonResource>  $ledLessons
     * @param  list<string>  $care
     */
    public function __construct(
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public string $now,
        #[OA\Property]
        public string $timezone,
        #[OA\Property(description: 'of the studio')]
        public NoteWords $words,
        #[OA\Property]
        public ?string $lessonOn,
        #[OA\Property]
        public string $message,
        #[OA\Property]
        public string $lessonNote,
        #[OA\Property]
        public string $word,
        #[OA\Property]
        public int $breakAfter,
        #[OA\Property(description: 'seconds without a touch that still count as practice')]
        public int $longestPause,
        #[ListOf('string')]
        public array $care,
        #[ListOf(HomeTaskResource::class)]
        public array $tasks,
        #[ListOf(WeekDayResource::class)]
        public array $days,
        #[ListOf(HomeChildResource::class)]
        public array $children,
        #[ListOf(HomeLedLessonResource::class)]
        public array $ledLessons,
    ) {}
}
