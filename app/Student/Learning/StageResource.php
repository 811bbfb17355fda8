<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Api\ListOf;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A stage of a piece for one student. */
#[OA\Schema]
final readonly class StageResource
{
    /**
     * @param  list<BarsResource>  $bars
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?Petal $petal,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public string $instruction,
        #[OA\Property]
        public string $pass,
        #[OA\Property]
        public int $repetitions,
        #[OA\Property]
        public ?int $tempo,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public ?string $passedOn,
        #[OA\Property]
        public int $misses,
        #[ListOf(BarsResource::class)]
        public array $bars,
    ) {}

    public static function of(Stage $stage): self
    {
        return new self(
            $stage->id,
            $stage->title(),
            $stage->opens(),
            $stage->aloneHand(),
            $stage->instruction(),
            $stage->passMark(),
            $stage->repetitions,
            $stage->tempo,
            $stage->half_minutes / 2,
            $stage->passed_on?->toDateString(),
            (int) ($stage->misses_count ?? 0),
            array_values($stage->bars->sortBy('position')->map(BarsResource::of(...))->all()),
        );
    }
}
