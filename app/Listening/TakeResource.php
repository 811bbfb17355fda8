<?php

declare(strict_types=1);

namespace App\Listening;

use App\Api\ListOf;
use Nasturtium\Core\Performance\Hearing\Heard;
use Nasturtium\Core\Performance\Hearing\HeardNote;
use Nasturtium\Core\Performance\Hearing\HeardStatus;
use Nasturtium\Core\Performance\Hearing\ProposedSlip;
use Nasturtium\Core\Performance\Hearing\ProposeSlips;
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

    public static function of(Take $take, Heard $heard): self
    {
        $faults = array_filter($heard->notes, static fn (HeardNote $note): bool => $note->status === HeardStatus::Wrong || $note->status === HeardStatus::Missed);

        return new self(
            $take->id,
            $take->on_date->toDateString(),
            $heard->isClean(),
            count($faults),
            count($heard->stalls),
            count($heard->restarts),
            $heard->tempo === null ? null : (int) round($heard->tempo / 1_000),
            $heard->steady === null ? null : intdiv($heard->steady, 10),
            array_values(array_unique(array_map(static fn (HeardNote $note): int => $heard->music->piece->measures[$note->written->measure]->number, $faults))),
            array_map(static fn (ProposedSlip $slip): ProposedSlipResource => ProposedSlipResource::of($heard->music->piece, $slip), ProposeSlips::of($heard)),
        );
    }
}
