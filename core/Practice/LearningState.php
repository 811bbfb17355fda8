<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** Where a student stands with a piece (trade 12.3, 12.4). */
enum LearningState: string
{
    case Current = 'current';
    /** Put by for a while. */
    case Resting = 'resting';
    /** Signed off; it comes back for review. */
    case Finished = 'finished';
}
