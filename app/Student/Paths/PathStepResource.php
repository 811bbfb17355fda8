<?php

declare(strict_types=1);

namespace App\Student\Paths;

use App\Http\English;
use Nasturtium\Core\Path\Effort;
use Nasturtium\Core\Path\PassMark;
use Nasturtium\Core\Path\PathStep;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A step of a path; `kind` is `own` for a stage that a teacher has made. */
#[OA\Schema]
final readonly class PathStepResource
{
    public function __construct(
        #[OA\Property]
        public StageKind $kind,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public string $passMark,
        #[OA\Property]
        public ?Petal $petal,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property(description: 'when it passes, where nothing else is said')]
        public PassMark $usually,
        #[OA\Property]
        public ChunkKind $chunks,
    ) {}

    public static function of(PathStep $step): self
    {
        return new self(
            $step->kind,
            $step->name,
            $step->kind === StageKind::Own ? $step->sentence : English::text($step->sentence),
            $step->passMark,
            $step->petal,
            $step->hand,
            PassMark::of($step->effort === Effort::ThreeInARow),
            $step->chunks,
        );
    }
}
