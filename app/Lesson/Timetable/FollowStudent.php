<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Student\Timetable\TimetableChanged;

/** The week under way ends with the lesson of the new day. */
final class FollowStudent
{
    public function __construct(private readonly FollowTimetable $follow) {}

    public function handle(TimetableChanged $changed): void
    {
        ($this->follow)($changed->student);
    }
}
