<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Account\Studio;
use App\Desk\SettingsFor;
use App\Page\Piece\Piece;
use App\Student\KnowNotes;
use App\Student\Student;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** What a worksheet is made of: a page, a student’s notes, or notes that were chosen; else the two positions of C. */
final class SheetMaterial
{
    /** Where neither a page, a student nor notes are chosen. */
    private const USUAL = ['treble:C4', 'treble:D4', 'treble:E4', 'treble:F4', 'treble:G4', 'bass:C3', 'bass:D3', 'bass:E3', 'bass:F3', 'bass:G3', 'bass:A3', 'bass:B3', 'bass:C4', 'treble:A4', 'treble:B4', 'treble:C5'];

    public function __construct(private readonly KnowNotes $know, private readonly SettingsFor $settings) {}

    /**
     * @param  list<string>  $notes  `treble:C4`
     * @param  list<string>  $clefs
     */
    public function __invoke(Studio $studio, ?Student $student, ?Piece $piece, array $notes, array $clefs): Material
    {
        $names = match (true) {
            $notes !== [] => $notes,
            $piece !== null && $piece->note_names !== '' => explode(',', $piece->note_names),
            $student !== null => array_keys($this->know->now($student, $student->today())),
            default => [],
        };
        $chosen = [];
        foreach ($names === [] ? self::USUAL : array_unique($names) as $name) {
            [$clef, $pitch] = [...explode(':', $name), ''];
            if (in_array($clef, $clefs, true)) {
                $chosen[] = [Clef::from($clef), Pitch::parse($pitch)];
            }
        }

        return new Material(
            $chosen,
            $piece?->isTyped() === true ? [$piece->score()] : [],
            $student->school ?? School::Landmark,
            $student === null ? null : new Landmarks($student->landmark_level->value, $student->landmark_middle),
            Phrases::of($studio->phrases ?? []),
            $student === null ? $this->settings->usual($studio) : $this->settings->counting($studio, $student),
        );
    }
}
