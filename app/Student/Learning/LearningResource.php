<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Api\ListOf;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Practice\LearningState;
use OpenApi\Attributes as OA;

/** A student on a piece: its flower and its stages. */
#[OA\Schema]
final readonly class LearningResource
{
    /**
     * @param  list<PetalResource>  $petals
     * @param  list<StageResource>  $stages  on the student's page none of a page that is signed off
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $pieceId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $page,
        #[OA\Property]
        public LearningState $state,
        #[OA\Property]
        public PathKind $path,
        #[OA\Property]
        public ?int $pathId,
        #[OA\Property]
        public string $openedOn,
        #[OA\Property]
        public ?string $finishedOn,
        #[ListOf(PetalResource::class)]
        public array $petals,
        #[ListOf(StageResource::class)]
        public array $stages,
    ) {}

    public static function of(Learning $learning): self
    {
        $stages = array_values($learning->stages->sortBy('position')->map(StageResource::of(...))->all());
        $petals = array_map(static function (Petal $petal) use ($stages): PetalResource {
            $of = array_filter($stages, static fn (StageResource $stage): bool => $stage->petal === $petal);

            return new PetalResource($petal, count(array_filter($of, static fn (StageResource $stage): bool => $stage->passedOn !== null)), count($of));
        }, Petal::cases());

        return self::with($learning, $petals, $stages);
    }

    /** @param list<PetalResource> $petals of a page whose stages are not wanted */
    public static function withoutStages(Learning $learning, array $petals): self
    {
        return self::with($learning, $petals, []);
    }

    /**
     * @param  list<PetalResource>  $petals
     * @param  list<StageResource>  $stages
     */
    private static function with(Learning $learning, array $petals, array $stages): self
    {
        return new self(
            $learning->id,
            $learning->piece_id,
            $learning->piece->title,
            $learning->piece->page->inBook(),
            $learning->state,
            $learning->path,
            $learning->path_id,
            $learning->opened_on->toDateString(),
            $learning->finished_on?->toDateString(),
            $petals,
            $stages,
        );
    }
}
