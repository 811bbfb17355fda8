<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** The way to a note in words, in the student's own school (trade 3.3). */
final readonly class Route
{
    private const LANDMARK_NAMES = [
        'C4' => 'middle C', 'G4' => 'treble G', 'F3' => 'bass F', 'C5' => 'treble C', 'C3' => 'bass C',
        'F5' => 'high F', 'G2' => 'low G', 'C6' => 'high C', 'C2' => 'low C', 'D3' => 'bass D',
    ];

    public static function to(Pitch $pitch, Clef $clef, School $school, Landmarks $landmarks, ?Phrases $phrases = null): string
    {
        $words = match ($school) {
            School::Landmark => self::fromLandmark($pitch, $landmarks->nearest($pitch, $clef)),
            School::Alphabet => self::alphabet($pitch, $clef),
            School::Phrase => self::phrase($pitch, $clef, $phrases ?? Phrases::usual()),
        };

        return $pitch->alter === 0 ? $words : "{$words}, then ".($pitch->alter > 0 ? 'sharp' : 'flat');
    }

    private static function fromLandmark(Pitch $pitch, Pitch $landmark): string
    {
        $name = self::LANDMARK_NAMES[$landmark->name()] ?? $landmark->name();
        $steps = $pitch->diatonic() - $landmark->diatonic();
        if ($steps === 0) {
            return "a landmark: {$name}";
        }

        return "from {$name} ".($steps > 0 ? 'up' : 'down').': '.self::letters($landmark, $pitch);
    }

    private static function alphabet(Pitch $pitch, Clef $clef): string
    {
        // The first space of the bass staff is where the alphabet starts; of the others the bottom line is said.
        $base = Pitch::ofDiatonic($clef->bottomLine() + ($clef->sign() === 'F' ? 1 : 0));
        $start = "{$clef->words()} ".($clef->sign() === 'F' ? 'space' : 'line')." 1 is {$base->letter()}";
        $steps = $pitch->diatonic() - $base->diatonic();
        if ($steps === 0) {
            return $start;
        }

        return "{$start}; count ".($steps > 0 ? 'up' : 'down').' line, space: '.self::letters($base, $pitch);
    }

    private static function phrase(Pitch $pitch, Clef $clef, Phrases $phrases): string
    {
        $place = $pitch->diatonic() - $clef->bottomLine();
        if ($place < 0 || $place > 8) {
            $edge = Pitch::ofDiatonic($clef->bottomLine() + ($place < 0 ? 0 : 8));

            return "{$edge->letter()} is the ".($place < 0 ? 'bottom' : 'top').' line; go on '.($place < 0 ? 'down' : 'up').': '.self::letters($edge, $pitch);
        }
        $kind = $place % 2 === 0 ? 'line' : 'space';
        if ($clef->sign() === 'C') {
            // The sentences are of the treble and the bass staff.
            return self::alphabet($pitch, $clef);
        }

        return "{$kind} ".(intdiv($place, 2) + 1).': '.$phrases->upTo($clef, $place);
    }

    /** The letters said on the way, the starting note's first. */
    private static function letters(Pitch $from, Pitch $to): string
    {
        $letters = array_map(
            static fn (int $diatonic): string => Pitch::ofDiatonic($diatonic)->letter(),
            range($from->diatonic(), $to->diatonic()),
        );

        return implode(' ', $letters);
    }
}
