<?php

declare(strict_types=1);

namespace App\Student\Timetable;

use App\Lesson\Lesson;
use Nasturtium\Core\Practice\Calendar\LessonState;

/** A lesson in sight, by the timetable or changed. */
final readonly class LessonDay
{
    /**
     * @param  string  $time  as 15:30
     * @param  string|null  $slotOn  the day of the timetable it stands for, when it is held on another
     * @param  Lesson|null  $lesson  where something is known of it
     */
    public function __construct(
        public string $date,
        public string $time,
        public int $minutes,
        public LessonState $state,
        public ?string $slotOn,
        public ?Lesson $lesson,
    ) {}
}
