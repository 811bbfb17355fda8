<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Calendar;

/** What became of a lesson of the timetable (trade 11.5). */
enum LessonState: string
{
    case Held = 'held';
    case Moved = 'moved';
    case Cancelled = 'cancelled';
    /** Beside the timetable. */
    case MakeUp = 'make-up';
}
