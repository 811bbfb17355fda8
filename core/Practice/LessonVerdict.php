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
}
