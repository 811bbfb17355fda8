<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Choice;

/** What a task of a week is for; its value and its place in the day (trade 11.2). */
enum TaskKind: string implements Choice
{
    case WarmUp = 'warm-up';
    case Remedy = 'remedy';
    case Stage = 'stage';
    case Drill = 'drill';
    case Review = 'review';
    case Theory = 'theory';

    public function label(): string
    {
        return match ($this) {
            self::WarmUp => 'Warm-up',
            self::Remedy => 'Remedy',
            self::Stage => 'Practice of a piece',
            self::Drill => 'Drill',
            self::Review => 'Review',
            self::Theory => 'Theory',
        };
    }

    public function value(): int
    {
        return match ($this) {
            self::Remedy => 8,
            self::Stage => 6,
            self::Drill => 4,
            self::Review, self::Theory => 3,
            self::WarmUp => 2,
        };
    }

    /** New things are met; the others are kept up. */
    public function isWork(): bool
    {
        return $this === self::Remedy || $this === self::Stage;
    }
}
