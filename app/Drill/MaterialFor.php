<?php

declare(strict_types=1);

namespace App\Drill;

use App\Account\Studio;
use App\Desk\SettingsFor;
use App\Student\Student;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Reading\Landmarks;
use Nasturtium\Core\Reading\Phrases;
use Nasturtium\Core\Reading\School;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/** What cards and worksheets are made of, in a student’s ways; for nobody in particular in the studio’s. */
final class MaterialFor
{
    public function __construct(private readonly SettingsFor $settings) {}

    /**
     * @param  iterable<string>  $names  `treble:C4`, in the order in which they are met; each counts once, and those of other staves than `$clefs` are left out
     * @param  list<Piece>  $pieces  that bars are taken from, the newest first
     * @param  list<Clef>  $clefs
     */
    public function __invoke(Studio $studio, ?Student $student, iterable $names, array $pieces, array $clefs = [Clef::Treble, Clef::Bass]): Material
    {
        $notes = [];
        foreach ($names as $name) {
            [$clef, $pitch] = [...explode(':', $name), ''];
            $clef = Clef::from($clef);
            if (in_array($clef, $clefs, true)) {
                $notes[$name] = [$clef, Pitch::parse($pitch)];
            }
        }

        return new Material(
            array_values($notes),
            $pieces,
            $student->school ?? School::Landmark,
            $student === null ? null : new Landmarks($student->landmark_level->value, $student->landmark_middle),
            Phrases::of($studio->phrases ?? []),
            $student === null ? $this->settings->usual($studio) : $this->settings->counting($studio, $student),
        );
    }
}
