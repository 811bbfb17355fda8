<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Nasturtium\Core\Path\Effort;
use Nasturtium\Core\Path\PathStep;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A step of a path; `kind` is `own` for a stage that a teacher has made. */
#[OA\Schema]
final readonly class PathStepResource
{
    public function __construct(
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public string $passMark,
        #[OA\Property]
        public ?string $petal,
        #[OA\Property]
        public ?string $hand,
        #[OA\Property]
        public bool $threeInARow,
        #[OA\Property]
        public string $chunks,
    ) {}

    public static function of(PathStep $step): self
    {
        return new self(
            $step->kind->value,
            $step->name,
            $step->sentence,
            $step->passMark,
            $step->petal?->value,
            $step->hand instanceof Hand ? $step->hand->value : null,
            $step->effort === Effort::ThreeInARow,
            $step->chunks->value,
        );
    }
}
