<?php

declare(strict_types=1);

namespace App\Student;

use App\Api\ListOf;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Counting\CompoundBeats;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\LongNotes;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Reading\LandmarkLevel;
use Nasturtium\Core\Reading\School;
use OpenApi\Attributes as OA;

/** A student with how they read, count and learn. */
#[OA\Schema]
final readonly class StudentResource
{
    /**
     * @param  ?int  $teacherId  of the members; null: whoever leads the studio
     * @param  list<PracticeDayResource>  $practiceDays
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public ?int $teacherId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $firstName,
        #[OA\Property]
        public string $initial,
        #[OA\Property]
        public int $age,
        #[OA\Property]
        public int $lessonWeekday,
        #[OA\Property]
        public string $lessonTime,
        #[OA\Property]
        public int $lessonMinutes,
        #[OA\Property]
        public ?int $secondWeekday,
        #[OA\Property]
        public ?string $secondTime,
        #[OA\Property]
        public ?int $secondMinutes,
        #[OA\Property]
        public ?string $timezone,
        #[OA\Property]
        public ?string $familyMail,
        #[OA\Property]
        public PathKind $path,
        #[OA\Property]
        public ?int $pathId,
        #[OA\Property]
        public School $school,
        #[OA\Property]
        public LandmarkLevel $landmarkLevel,
        #[OA\Property]
        public bool $landmarkMiddle,
        #[OA\Property(description: 'three clean takes in a row pass a stage')]
        public bool $heardPasses,
        #[OA\Property]
        public CountingSystem $counting,
        #[OA\Property]
        public CountStyle $countStyle,
        #[OA\Property]
        public LongNotes $longNotes,
        #[OA\Property]
        public CompoundBeats $compoundBeats,
        #[OA\Property]
        public string $countReady,
        #[OA\Property]
        public int $handSpan,
        #[OA\Property(description: 'percent of the estimated times, as the teacher set it; null: as it is measured at home')]
        public ?int $pace,
        #[OA\Property]
        public ?string $consentedOn,
        #[OA\Property]
        public string $consentWords,
        #[OA\Property]
        public ?string $leftOn,
        #[ListOf(PracticeDayResource::class)]
        public array $practiceDays,
    ) {}

    public static function of(Student $student, CarbonImmutable $today): self
    {
        return new self(
            $student->id,
            $student->membership_id,
            $student->name()->short(),
            $student->first_name,
            $student->initial,
            $student->age($today),
            $student->lesson_weekday,
            substr($student->lesson_time, 0, 5),
            $student->lesson_minutes,
            $student->second_weekday,
            $student->second_time === null ? null : substr($student->second_time, 0, 5),
            $student->second_minutes,
            $student->timezone,
            $student->family_mail,
            $student->path,
            $student->path_id,
            $student->school,
            $student->landmark_level,
            $student->landmark_middle,
            $student->heard_passes,
            $student->counting,
            $student->count_style,
            $student->long_notes,
            $student->compound_beats,
            $student->count_ready,
            $student->hand_span,
            $student->pace,
            $student->consented_on?->toDateString(),
            $student->consent_words ?? '',
            $student->left_on?->toDateString(),
            array_values($student->practiceDays->sortBy('weekday')->map(
                static fn (PracticeDay $day): PracticeDayResource => new PracticeDayResource($day->weekday, $day->minutes),
            )->all()),
        );
    }
}
