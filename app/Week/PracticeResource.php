<?php

declare(strict_types=1);

namespace App\Week;

use Nasturtium\Core\Practice\Feeling;
use OpenApi\Attributes as OA;

/** A tick from home. */
#[OA\Schema]
final readonly class PracticeResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $date,
        #[OA\Property]
        public int $repetitions,
        #[OA\Property]
        public ?int $tempo,
        #[OA\Property]
        public Feeling $feeling,
        #[OA\Property]
        public string $note,
    ) {}

    public static function of(Practice $practice): self
    {
        return new self($practice->id, $practice->on_date->toDateString(), $practice->repetitions, $practice->tempo, $practice->feeling, $practice->note);
    }
}
