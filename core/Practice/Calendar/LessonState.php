<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Calendar;

use Nasturtium\Core\Choice;

/** What became of a lesson of the timetable (trade 11.5). */
enum LessonState: string implements Choice
{
    case Held = 'held';
    case Moved = 'moved';
    case Cancelled = 'cancelled';
    /** Beside the timetable. */
    case MakeUp = 'make-up';

    public function label(): string
    {
        return match ($this) {
            self::Held => 'As it is',
            self::Moved => 'Move it',
            self::Cancelled => 'Cancel it',
            self::MakeUp => 'One more',
        };
    }
}
