<?php

declare(strict_types=1);

namespace App\Privacy;

/** Names under which breakdowns are cached: those of a student can be found again. */
final class CachedReports
{
    public static function prefix(?int $student): string
    {
        return 'breakdown '.($student === null ? '' : "of {$student}: ");
    }
}
