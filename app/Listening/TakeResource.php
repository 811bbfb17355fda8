<?php

declare(strict_types=1);

namespace App\Listening;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A take as the teacher sees it: what was heard, and the slips that it proposes. */
#[OA\Schema]
final readonly class TakeResource
{
    /**
     * @param  list<int>  $bars  numbers of the bars in which a key was another one or missed
     * @param  list<ProposedSlipResource>  $slips
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public ?int $taskId,
        #[OA\Property]
        public string $onDate,
        #[OA\Property]
        public bool $clean,
        #[OA\Property(description: 'keys that were another one or missed')]
        public int $faults,
        #[OA\Property]
        public int $stalls,
        #[OA\Property]
        public int $restarts,
        #[OA\Property(description: 'quarters a minute')]
        public ?int $tempo,
        #[OA\Property(description: 'percent of the beats that were steady')]
        public ?int $steady,
        #[ListOf('integer')]
        public array $bars,
        #[ListOf(ProposedSlipResource::class)]
        public array $slips,
    ) {}

    public static function of(Take $take, Judged $judged): self
    {
        return new self(
            $take->id,
            $take->task_id,
            $take->on_date->toDateString(),
            $judged->clean,
            $judged->faults,
            $judged->stalls,
            $judged->restarts,
            $judged->tempo,
            $judged->steady,
            $judged->bars,
            array_map(static fn (array $slip): ProposedSlipResource => ProposedSlipResource::of(...$slip), $judged->slips),
        );
    }
}
