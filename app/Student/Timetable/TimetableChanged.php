<?php

declare(strict_types=1);

namespace App\Student\Timetable;

use App\Student\Student;
use Illuminate\Foundation\Events\Dispatchable;

/** The lesson day of a student is another. */
final readonly class TimetableChanged
{
    use Dispatchable;

    public function __construct(public Student $student) {}
}
