<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Api\ListOf;
use App\Api\Shape;
use OpenApi\Attributes as OA;

/** The breakdown report of a piece (docs/breakdown.md), with its music. */
#[OA\Schema]
#[Shape('ReportPiece', ['title' => 'string', 'composer' => '?string', 'measures' => 'integer', 'pickup' => 'string', 'time' => 'string', 'key' => 'string', 'lines' => 'integer', 'tempo_words' => '?string', 'tempo' => '?integer', 'tempo_from' => '?integer', 'notation' => 'string'])]
#[Shape('ReportCheck', ['code' => 'string', 'place' => 'string', 'hand' => '?string', 'text' => 'string', 'events' => 'string[]'])]
#[Shape('ReportEvent', ['id' => 'string', 'hand' => 'string', 'clef' => 'string', 'place' => 'string', 'beats' => 'string', 'kind' => 'string', 'pitches' => 'string[]', 'voice' => 'integer', 'staff' => 'string[]', 'fingers' => '?integer[]', 'finger_from' => '?string', 'move' => '?string', 'interval' => '?integer', 'solfege' => '?string', 'counts' => 'string[]'])]
#[Shape('ReportCounting', ['measure' => 'integer', 'hand' => 'string', 'text' => 'string'])]
#[Shape('ReportPosition', ['hand' => 'string', 'from' => 'string', 'to' => 'string', 'thumb' => 'string', 'low' => 'string', 'high' => 'string', 'keys' => 'integer[]', 'name' => 'string'])]
#[Shape('ReportBar', ['measure' => 'integer', 'time' => 'string', 'key' => 'string', 'first' => 'integer', 'last' => 'integer'])]
#[Shape('ReportShift', ['hand' => 'string', 'at' => 'string', 'keys' => 'integer', 'from' => 'string', 'to' => 'string', 'beats' => 'string', 'rest' => 'string'])]
#[Shape('ReportCrossing', ['hand' => 'string', 'at' => 'string', 'kind' => 'string', 'finger' => 'integer'])]
#[Shape('ReportLeap', ['hand' => 'string', 'at' => 'string', 'from' => 'string', 'to' => 'string', 'move' => 'string'])]
#[Shape('ReportSpan', ['hand' => 'string', 'at' => 'string', 'keys' => 'integer', 'fits' => 'boolean'])]
#[Shape('ReportWeakRun', ['hand' => 'string', 'from' => 'string', 'to' => 'string', 'events' => 'string[]'])]
#[Shape('ReportTrap', ['code' => 'string', 'place' => 'string', 'hand' => '?string', 'text' => 'string', 'events' => 'string[]'])]
#[Shape('ReportDrill', ['clef' => 'string', 'pitch' => 'string', 'status' => 'string', 'why' => 'string'])]
#[Shape('ReportRing', ['what' => 'string', 'times' => 'integer', 'events' => 'string[]'])]
#[Shape('ReportReason', ['code' => 'string', 'text' => 'string', 'weight' => 'integer', 'events' => 'string[]'])]
#[Shape('ReportSticking', ['measure' => 'integer', 'score' => 'integer', 'thorn' => 'boolean', 'teacher' => '?string', 'reasons' => 'ReportReason[]'])]
#[Shape('ReportLearnBar', ['measure' => 'integer', 'serves' => 'integer[]', 'score' => 'integer'])]
#[Shape('ReportLearnHands', ['R' => 'integer', 'L' => 'integer'])]
#[Shape('ReportLearn', ['text' => 'string', 'bars' => 'integer', 'hands' => 'ReportLearnHands', 'order' => 'ReportLearnBar[]'])]
#[Shape('ReportNote', ['clef' => 'string', 'pitch' => 'string', 'times' => 'integer', 'first' => 'string', 'status' => 'string', 'route' => 'string', 'landmark' => 'string', 'steps' => 'integer', 'staff' => 'string', 'key' => 'string', 'midi' => 'integer', 'events' => 'string[]'])]
#[Shape('ReportGroups', ['same' => 'integer[][]', 'rhythm' => 'integer[][]', 'shape' => 'integer[][]'])]
#[Shape('ReportEqual', ['bars' => 'integer[][]', 'right' => 'ReportGroups', 'left' => 'ReportGroups'])]
#[Shape('ReportLine', ['from' => 'integer', 'to' => 'integer', 'letter' => 'string'])]
#[Shape('ReportHands', ['measure' => 'integer', 'play' => 'string', 'motion' => '?string', 'same_rhythm' => '?boolean'])]
#[Shape('ReportChunk', ['kind' => 'string', 'from' => 'string', 'to' => 'string', 'serves' => 'string[]', 'score' => '?number', 'reasons' => 'string[]', 'beats' => 'string'])]
#[Shape('ReportStage', ['name' => 'string', 'petal' => '?string', 'hand' => '?string', 'chunks' => 'ReportChunk[]', 'do' => 'string', 'pass' => 'string', 'minutes' => 'number', 'repetitions' => 'integer', 'tempo' => '?integer', 'waits_for' => 'integer[]'])]
#[Shape('ReportCountIn', ['counts' => 'string[]', 'enter' => 'string'])]
#[Shape('ReportBeats', ['written' => 'string', 'played' => 'string'])]
#[Shape('Report', ['version' => 'integer', 'student' => 'boolean', 'piece' => 'ReportPiece', 'checks' => 'ReportCheck[]', 'play_order' => 'integer[]', 'beats' => 'ReportBeats', 'bars' => 'ReportBar[]', 'count_in' => 'ReportCountIn', 'events' => 'ReportEvent[]', 'counting' => 'ReportCounting[]', 'positions' => 'ReportPosition[]', 'shifts' => 'ReportShift[]', 'crossings' => 'ReportCrossing[]', 'leaps' => 'ReportLeap[]', 'spans' => 'ReportSpan[]', 'weak_runs' => 'ReportWeakRun[]', 'finger_lines' => 'ReportCounting[]', 'notes' => 'ReportNote[]', 'traps' => 'ReportTrap[]', 'drill' => 'ReportDrill[]', 'rings' => 'ReportRing[]', 'equal' => 'ReportEqual', 'lines' => 'ReportLine[]', 'hands' => 'ReportHands[]', 'hand_first' => '?string', 'chunks' => 'ReportChunk[]', 'sticking' => 'ReportSticking[]', 'learn' => 'ReportLearn', 'path' => 'string', 'stages' => 'ReportStage[]'])]
final readonly class BreakdownResource
{
    /**
     * @param  array<string, mixed>  $report
     * @param  list<OwnFingerResource>  $ownFingers
     */
    public function __construct(
        #[OA\Property]
        public PieceResource $piece,
        #[OA\Property(property: 'report', ref: '#/components/schemas/Report', type: 'object')]
        public array $report,
        #[OA\Property]
        public PlaybackResource $playback,
        #[ListOf(OwnFingerResource::class)]
        public array $ownFingers,
    ) {}
}
