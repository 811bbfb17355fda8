<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** What became of a written note. */
enum HeardStatus: string
{
    case Right = 'right';
    case Wrong = 'wrong';
    case Missed = 'missed';
    /** It was not come to: a repeat, or what was left out or played by nobody. */
    case Skipped = 'skipped';
    /** It may have sounded under another. */
    case Unsure = 'unsure';

    public function sounded(): bool
    {
        return $this === self::Right || $this === self::Wrong;
    }
}
