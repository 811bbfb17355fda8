<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Choice;

/** What a task of a week is for; what it is to the plan says TaskClass. */
enum TaskKind: string implements Choice
{
    case WarmUp = 'warm-up';
    case Remedy = 'remedy';
    case Stage = 'stage';
    case Drill = 'drill';
    case Review = 'review';
    case Theory = 'theory';
    case Sight = 'sight';
    case Choice = 'choice';

    public function label(): string
    {
        return match ($this) {
            self::WarmUp => 'Warm-up',
            self::Remedy => 'Remedy',
            self::Stage => 'Practice of a piece',
            self::Drill => 'Drill',
            self::Review => 'Review',
            self::Theory => 'Theory',
            self::Sight => 'A line at sight',
            self::Choice => 'Own choice',
        };
    }
}
