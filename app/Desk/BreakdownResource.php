<?php

declare(strict_types=1);

namespace App\Desk;

use App\Api\ListOf;
use App\Page\Piece\PieceResource;
use App\Page\Piece\PlaybackResource;
use Nasturtium\Core\Report\Document\Report;
use OpenApi\Attributes as OA;

/** The breakdown report of a piece (docs/breakdown.md), with its music. */
#[OA\Schema]
final readonly class BreakdownResource
{
    /**
     * @param  list<OwnFingerResource>  $ownFingers
     */
    public function __construct(
        #[OA\Property]
        public PieceResource $piece,
        #[OA\Property(property: 'report', ref: '#/components/schemas/Report', type: 'object')]
        public Report $report,
        #[OA\Property]
        public PlaybackResource $playback,
        #[ListOf(OwnFingerResource::class)]
        public array $ownFingers,
    ) {}
}
