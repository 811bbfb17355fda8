<?php

declare(strict_types=1);

namespace App\Progress;

use App\Api\ListOf;
use App\Student\KnownNoteResource;
use OpenApi\Attributes as OA;

/** What a student's weeks tell, and the same in sentences. */
#[OA\Schema]
final readonly class ProgressResource
{
    /**
     * @param  list<string>  $words
     * @param  list<KnownNoteResource>  $notes
     * @param  list<ProgressWeekResource>  $weeks  in order
     * @param  list<ProgressTemposResource>  $tempi
     * @param  list<ProgressTakesResource>  $takes
     * @param  list<ProgressSlipResource>  $slips
     * @param  string  $chart  the notes on a grand staff, as MusicXML
     * @param  list<ProgressPlaceResource>  $places
     * @param  list<PaceResource>  $pace
     */
    public function __construct(
        #[OA\Property]
        public int $studentId,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
        #[ListOf('string')]
        public array $words,
        #[ListOf(KnownNoteResource::class)]
        public array $notes,
        #[OA\Property]
        public string $chart,
        #[ListOf(ProgressWeekResource::class)]
        public array $weeks,
        #[ListOf(ProgressTemposResource::class)]
        public array $tempi,
        #[ListOf(ProgressTakesResource::class)]
        public array $takes,
        #[ListOf(ProgressSlipResource::class)]
        public array $slips,
        #[ListOf(ProgressPlaceResource::class)]
        public array $places,
        #[ListOf(PaceResource::class)]
        public array $pace,
    ) {}
}
