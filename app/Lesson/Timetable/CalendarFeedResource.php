<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use OpenApi\Attributes as OA;

/** A calendar that can be subscribed to; its address is told once, when it is made. */
#[OA\Schema]
final readonly class CalendarFeedResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public ?int $studentId,
        #[OA\Property]
        public ?string $usedAt,
        #[OA\Property]
        public ?string $url,
    ) {}

    public static function of(CalendarFeed $feed, ?string $token = null): self
    {
        return new self($feed->id, $feed->student_id, $feed->used_at?->toIso8601String(), $token === null ? null : url("/calendar/{$token}.ics"));
    }
}
