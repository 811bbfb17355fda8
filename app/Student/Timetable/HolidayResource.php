<?php

declare(strict_types=1);

namespace App\Student\Timetable;

use OpenApi\Attributes as OA;

/** Days without lessons, without practice, or without both. */
#[OA\Schema]
final readonly class HolidayResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public ?int $studentId,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
        #[OA\Property]
        public bool $lessons,
        #[OA\Property]
        public bool $practice,
    ) {}

    public static function of(Holiday $holiday): self
    {
        [$from, $to] = $holiday->dates();

        return new self($holiday->id, $holiday->student_id, $holiday->label, $from, $to, $holiday->lessons, $holiday->practice);
    }
}
