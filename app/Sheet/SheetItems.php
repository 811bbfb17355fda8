<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Account\Studio;
use App\Drill\LinesAtSight;
use App\Drill\MaterialFor;
use App\Drill\TypedPages;
use App\Page\Piece\Piece;
use App\Student\KnowNotes;
use App\Student\Student;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Score\Piece as Score;
use Nasturtium\Core\Sheet\MakeSheet;
use Nasturtium\Core\Sheet\SheetKind;
use Nasturtium\Core\Sheet\SightSource;
use Nasturtium\Core\Sight\SightLevel;
use Nasturtium\Core\Sight\SightMaterial;

/** The questions of a worksheet: of notes that were chosen, of a page, or of what a student has met; else of two octaves around middle C. */
final class SheetItems
{
    private const USUAL = ['treble:C4', 'treble:D4', 'treble:E4', 'treble:F4', 'treble:G4', 'bass:C3', 'bass:D3', 'bass:E3', 'bass:F3', 'bass:G3', 'bass:A3', 'bass:B3', 'bass:C4', 'treble:A4', 'treble:B4', 'treble:C5'];

    /** Open pages of a student that bars are taken from, and questions of the newest. */
    private const PAGES = 3;

    /** Of lines at sight for nobody in particular. */
    private const MIDDLE = SightLevel::Four;

    public function __construct(private readonly KnowNotes $know, private readonly MaterialFor $material, private readonly LinesAtSight $lines) {}

    /**
     * @param  ?Student  $student  with the studio
     * @return list<SheetItemResource>
     */
    public function __invoke(SheetRequest $wanted, Studio $studio, ?Student $student, ?Piece $piece): array
    {
        $known = $student === null ? [] : $this->know->now($student, $student->today());
        $names = match (true) {
            $wanted->notes() !== [] => $wanted->notes(),
            $piece !== null && $piece->note_names !== '' => $piece->noteNames(),
            default => array_keys($known),
        };
        $pieces = match (true) {
            $piece !== null => $piece->isTyped() ? [$piece->score()] : [],
            $student !== null => TypedPages::of($student->id, LearningState::Current, 'opened_on', self::PAGES),
            default => [],
        };
        $names = $names === [] ? self::USUAL : $names;
        $material = ($this->material)($studio, $student, $names, $pieces, $wanted->clefs());
        $sight = $wanted->kind() === SheetKind::Sight ? $this->sight($wanted, $student, $known, $names, $pieces) : null;

        return array_map(SheetItemResource::of(...), (new MakeSheet($material, $wanted->integer('hard'), $wanted->integer('seed'), $sight))($wanted->kind(), $wanted->integer('count')));
    }

    /**
     * A student's own; else of the notes as if they were known.
     *
     * @param  array<string, NoteStatus>  $known
     * @param  list<string>  $names
     * @param  list<Score>  $pieces
     */
    private function sight(SheetRequest $wanted, ?Student $student, array $known, array $names, array $pieces): SightSource
    {
        $on = array_column($wanted->clefs(), 'value');
        $isOn = static fn (string $name): bool => in_array(strstr($name, ':', true), $on, true);
        if ($student !== null && $wanted->notes() === [] && $wanted->input('pieceId') === null) {
            return $this->lines->forPaper($student, array_filter($known, $isOn, ARRAY_FILTER_USE_KEY));
        }

        return new SightSource(SightMaterial::of($pieces, array_values(array_filter($names, $isOn))), self::MIDDLE);
    }
}
