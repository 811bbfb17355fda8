<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** How a stage went at a lesson, and at which tempo. */
final readonly class HeardTempo
{
    /**
     * @param  ?int  $asked  beats a minute, as the task had it; null for none
     * @param  ?int  $reached  beats a minute, where the teacher noted it
     */
    public function __construct(public LessonVerdict $mark, public ?int $asked, public ?int $reached) {}
}
