<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Account\Studio;
use App\Drill\MaterialFor;
use App\Page\Piece\Piece;
use App\Student\KnowNotes;
use App\Student\Student;
use Nasturtium\Core\Sheet\MakeSheet;

/** The questions of a worksheet: of notes that were chosen, of a page, or of what a student has met; else of two octaves around middle C. */
final class SheetItems
{
    private const USUAL = ['treble:C4', 'treble:D4', 'treble:E4', 'treble:F4', 'treble:G4', 'bass:C3', 'bass:D3', 'bass:E3', 'bass:F3', 'bass:G3', 'bass:A3', 'bass:B3', 'bass:C4', 'treble:A4', 'treble:B4', 'treble:C5'];

    public function __construct(private readonly KnowNotes $know, private readonly MaterialFor $material) {}

    /**
     * @param  ?Student  $student  with the studio
     * @return list<SheetItemResource>
     */
    public function __invoke(SheetRequest $wanted, Studio $studio, ?Student $student, ?Piece $piece): array
    {
        $names = match (true) {
            $wanted->notes() !== [] => $wanted->notes(),
            $piece !== null && $piece->note_names !== '' => explode(',', $piece->note_names),
            $student !== null => array_keys($this->know->now($student, $student->today())),
            default => [],
        };
        $pieces = $piece?->isTyped() === true ? [$piece->score()] : [];
        $material = ($this->material)($studio, $student, $names === [] ? self::USUAL : $names, $pieces, $wanted->clefs());

        return array_map(SheetItemResource::of(...), (new MakeSheet($material, $wanted->integer('hard'), $wanted->integer('seed')))($wanted->kind(), $wanted->integer('count')));
    }
}
