<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** Something that stands in a calendar: at a time, or all day long. */
final readonly class CalendarEvent
{
    /**
     * @param  string  $uid  the same whenever the same thing is written
     * @param  ?int  $minutes  that it lasts; null for the whole day
     */
    public function __construct(
        public string $uid,
        public \DateTimeImmutable $begins,
        public ?int $minutes,
        public string $summary,
        public string $description = '',
    ) {}
}
