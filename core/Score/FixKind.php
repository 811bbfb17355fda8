<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

enum FixKind: string
{
    case FillWithRest = 'fill';
    case DropRests = 'drop rests';
    case DropTie = 'drop tie';
    case CloseRepeat = 'close repeat';

    /** What the button says. */
    public function label(): string
    {
        return match ($this) {
            self::FillWithRest => 'Fill the bar with rest',
            self::DropRests => 'Take the rest away',
            self::DropTie => 'Take the tie away',
            self::CloseRepeat => 'Close the repeat here',
        };
    }
}
