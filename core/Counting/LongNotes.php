<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Choice;

/** What is said of a note that is longer than a beat (trade 5.2). */
enum LongNotes: string implements Choice
{
    case AllCounts = 'all';
    /** Only the counts after it starts: its own sound stands for the first. */
    case AfterStart = 'after';

    public function label(): string
    {
        return match ($this) {
            self::AllCounts => 'say all its counts',
            self::AfterStart => 'only those after it starts',
        };
    }
}
