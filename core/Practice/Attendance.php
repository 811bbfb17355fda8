<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Choice;

/** Whether the student came to a lesson. */
enum Attendance: string implements Choice
{
    case There = 'there';
    case Late = 'late';
    case Excused = 'excused';
    case Missed = 'missed';

    public function label(): string
    {
        return match ($this) {
            self::There => 'Here',
            self::Late => 'Late',
            self::Excused => 'Missed, with notice',
            self::Missed => 'Missed',
        };
    }

    /** Something was heard. */
    public function wasHeld(): bool
    {
        return $this === self::There || $this === self::Late;
    }
}
