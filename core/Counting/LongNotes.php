<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

/** What is said of a note that is longer than a beat (trade 5.2). */
enum LongNotes: string
{
    case AllCounts = 'all';
    /** Only the counts after it starts: its own sound stands for the first. */
    case AfterStart = 'after';
}
