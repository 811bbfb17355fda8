<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** Which finger plays this note in this position? (trade 15.1, kind 6; positions of trade 4.1) */
final readonly class WhichFinger implements CardMaker
{
    /** The lowest key of five, by hand and position: the thumb of the right hand, the little finger of the left. */
    private const POSITIONS = [
        'right' => ['C position' => 'C4', 'G position' => 'G4'],
        'left' => ['C position' => 'C3', 'G position' => 'G2'],
    ];

    public function cards(Material $material): array
    {
        $cards = [];
        foreach ($material->notes as [$clef, $pitch]) {
            $hand = $clef === Clef::Bass ? 'left' : 'right';
            foreach (self::POSITIONS[$hand] as $name => $lowest) {
                $up = $pitch->diatonic() - Pitch::parse($lowest)->diatonic();
                if ($up >= 0 && $up < 5 && $pitch->alter === 0) {
                    $cards[] = self::card($clef, $pitch, $hand, $name, Pitch::parse($lowest), $hand === 'right' ? $up + 1 : 5 - $up);
                }
            }
        }

        return $cards;
    }

    private static function card(Clef $clef, Pitch $pitch, string $hand, string $position, Pitch $lowest, int $finger): Card
    {
        $note = Shown::nameOf($clef, $pitch);
        $lies = $hand === 'right' ? "the thumb on {$lowest->letter()}" : "finger 5 on {$lowest->letter()}";

        return new Card(
            "finger {$position} {$note}",
            ucfirst("{$hand} hand, {$position}: {$lies}. Which finger plays this note?"),
            AnswerBy::Option,
            [(string) $finger],
            "This is {$pitch->letter()}. Put the hand on five keys next to each other, {$lies}: finger {$finger} lies on {$pitch->letter()}.",
            Shown::note($clef, $pitch),
            Shown::options(['1', '2', '3', '4', '5']),
            $note,
        );
    }
}
