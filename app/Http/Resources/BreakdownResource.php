<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Api\Shape;
use OpenApi\Attributes as OA;

/** The breakdown report of a piece (docs/breakdown.md), with its music. */
#[OA\Schema]
#[Shape('ReportPiece', ['title' => 'string', 'composer' => '?string', 'measures' => 'integer', 'pickup' => 'string', 'time' => 'string', 'key' => 'string', 'lines' => 'integer', 'tempo_words' => '?string', 'tempo' => '?integer', 'tempo_from' => '?integer', 'notation' => 'string'])]
#[Shape('ReportCheck', ['code' => 'string', 'place' => 'string', 'hand' => '?string', 'text' => 'string', 'events' => 'string[]'])]
#[Shape('ReportEvent', ['id' => 'string', 'hand' => 'string', 'clef' => 'string', 'place' => 'string', 'beats' => 'string', 'kind' => 'string', 'pitches' => 'string[]', 'voice' => 'integer', 'staff' => 'string[]', 'fingers' => '?integer[]', 'finger_from' => '?string', 'move' => '?string', 'interval' => '?integer', 'solfege' => '?string', 'counts' => 'string[]'])]
#[Shape('ReportCounting', ['measure' => 'integer', 'hand' => 'string', 'text' => 'string'])]
#[Shape('ReportPosition', ['hand' => 'string', 'from' => 'string', 'to' => 'string', 'thumb' => 'string', 'low' => 'string', 'high' => 'string', 'name' => 'string'])]
#[Shape('ReportShift', ['hand' => 'string', 'at' => 'string', 'keys' => 'integer'])]
#[Shape('ReportNote', ['clef' => 'string', 'pitch' => 'string', 'times' => 'integer', 'first' => 'string', 'status' => 'string', 'route' => 'string', 'landmark' => 'string', 'steps' => 'integer', 'staff' => 'string', 'key' => 'string', 'events' => 'string[]'])]
#[Shape('ReportGroups', ['same' => 'integer[][]', 'rhythm' => 'integer[][]', 'shape' => 'integer[][]'])]
#[Shape('ReportEqual', ['bars' => 'integer[][]', 'right' => 'ReportGroups', 'left' => 'ReportGroups'])]
#[Shape('ReportLine', ['from' => 'integer', 'to' => 'integer', 'letter' => 'string'])]
#[Shape('ReportHands', ['measure' => 'integer', 'play' => 'string', 'motion' => '?string', 'same_rhythm' => '?boolean'])]
#[Shape('ReportChunk', ['kind' => 'string', 'from' => 'string', 'to' => 'string', 'serves' => 'string[]', 'score' => '?number', 'reasons' => 'string[]', 'beats' => 'string'])]
#[Shape('ReportStage', ['name' => 'string', 'petal' => '?string', 'hand' => '?string', 'chunks' => 'ReportChunk[]', 'do' => 'string', 'pass' => 'string', 'minutes' => 'number', 'repetitions' => 'integer', 'tempo' => '?integer', 'waits_for' => 'integer[]'])]
#[Shape('ReportCountIn', ['counts' => 'string[]', 'enter' => 'string'])]
#[Shape('ReportBeats', ['written' => 'string', 'played' => 'string'])]
#[Shape('Report', ['version' => 'integer', 'piece' => 'ReportPiece', 'checks' => 'ReportCheck[]', 'play_order' => 'integer[]', 'beats' => 'ReportBeats', 'count_in' => 'ReportCountIn', 'events' => 'ReportEvent[]', 'counting' => 'ReportCounting[]', 'positions' => 'ReportPosition[]', 'shifts' => 'ReportShift[]', 'notes' => 'ReportNote[]', 'equal' => 'ReportEqual', 'lines' => 'ReportLine[]', 'hands' => 'ReportHands[]', 'chunks' => 'ReportChunk[]', 'stages' => 'ReportStage[]'])]
final readonly class BreakdownResource
{
    /** @param array<string, mixed> $report */
    public function __construct(
        #[OA\Property]
        public PieceResource $piece,
        #[OA\Property(property: 'report', ref: '#/components/schemas/Report', type: 'object')]
        public array $report,
        #[OA\Property]
        public PlaybackResource $playback,
    ) {}
}
