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

    /** It is signed off when all its stages have passed, and open again when one no longer has; what rests goes on resting. */
    public function settled(bool $haveAllPassed): self
    {
        return match (true) {
            $this === self::Resting => self::Resting,
            $haveAllPassed => self::Finished,
            default => self::Current,
        };
    }

    /** After another mark: what stops rests, and what no longer does goes on. */
    public function heard(?LessonVerdict $before, ?LessonVerdict $now): self
    {
        return match (true) {
            $now === LessonVerdict::Stop => self::Resting,
            $before === LessonVerdict::Stop => self::Current,
            default => $this,
        };
    }
}
