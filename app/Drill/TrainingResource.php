<?php

declare(strict_types=1);

namespace App\Drill;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** What a student has trained in the practice room. */
#[OA\Schema]
final readonly class TrainingResource
{
    /**
     * @param  list<TrainedNoteResource>  $notes  from low to high
     * @param  string  $chart  the same notes, as MusicXML
     * @param  list<TrainedWeekResource>  $weeks
     * @param  list<ConfusedResource>  $confused
     * @param  list<TrainedSessionResource>  $sessions  the newest first
     */
    public function __construct(
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[ListOf(TrainedNoteResource::class)]
        public array $notes,
        #[OA\Property]
        public string $chart,
        #[ListOf(TrainedWeekResource::class)]
        public array $weeks,
        #[ListOf(ConfusedResource::class)]
        public array $confused,
        #[ListOf(TrainedSessionResource::class)]
        public array $sessions,
        #[OA\Property(description: 'most keys found in a race')]
        public int $best,
        #[OA\Property]
        public TrainingSettingsResource $settings,
    ) {}
}
