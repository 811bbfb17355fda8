<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** What a teacher says of a task that she has heard (trade 12.1). */
enum LessonVerdict: string
{
    case Pass = 'pass';
    case Again = 'again';
    /** The page rests. */
    case Stop = 'stop';

    /** It was heard and did not pass: so often in a row and the tempo goes down, so often in all and the stage is stuck. */
    public function isMiss(): bool
    {
        return $this === self::Again;
    }

    /** @return list<string> the values of those that are misses */
    public static function misses(): array
    {
        return array_column(array_filter(self::cases(), static fn (self $verdict): bool => $verdict->isMiss()), 'value');
    }
}
