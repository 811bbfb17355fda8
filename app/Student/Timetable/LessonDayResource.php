<?php

declare(strict_types=1);

namespace App\Student\Timetable;

use Nasturtium\Core\Practice\Calendar\LessonState;
use OpenApi\Attributes as OA;

/** A lesson in sight, by the timetable or changed. */
#[OA\Schema]
final readonly class LessonDayResource
{
    public function __construct(
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public string $time,
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public LessonState $state,
        #[OA\Property]
        public ?string $slotOn,
        #[OA\Property]
        public ?int $lessonId,
    ) {}

    public static function of(LessonDay $day): self
    {
        return new self($day->date, $day->time, $day->minutes, $day->state, $day->slotOn, $day->lesson?->id);
    }
}
