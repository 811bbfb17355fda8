<?php

declare(strict_types=1);

namespace App\Drill;

use App\Student\Student;
use OpenApi\Attributes as OA;

/** What a teacher has set for the practice room of a student. */
#[OA\Schema]
final readonly class TrainingSettingsResource
{
    /**
     * @param  ?list<string>  $kinds  null for all
     * @param  ?list<string>  $notes  treble:C4; null for those of the pages
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), nullable: true)]
        public ?array $kinds,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), nullable: true)]
        public ?array $notes,
        #[OA\Property(description: 'null by age')]
        public ?int $minutes,
        #[OA\Property]
        public int $answers,
        #[OA\Property(description: 'of a hundred')]
        public int $right,
        #[OA\Property(description: 'milliseconds')]
        public int $within,
    ) {}

    public static function of(Student $student): self
    {
        return new self(
            $student->drill_kinds === null ? null : explode(',', $student->drill_kinds),
            $student->drill_notes === null ? null : explode(',', $student->drill_notes),
            $student->drill_minutes,
            $student->drill_answers,
            $student->drill_right,
            $student->drill_within,
        );
    }
}
