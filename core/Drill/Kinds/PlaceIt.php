<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Drill\Option;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** A letter: where on the staff? (trade 15.1, kind 3) */
final readonly class PlaceIt implements CardMaker
{
    /** Places above the bottom line, the lowest and the highest that a card shows. */
    private const LOWEST = -2;

    private const HIGHEST = 10;

    public function cards(Material $material): array
    {
        $cards = [];
        foreach ($material->notes as [$clef, $pitch]) {
            $place = $pitch->diatonic() - $clef->bottomLine();
            // A sharp stands where its letter does, so only letters are asked.
            if ($pitch->alter === 0 && $place >= self::LOWEST && $place <= self::HIGHEST) {
                $cards[] = self::card($material, $clef, $pitch);
            }
        }

        return $cards;
    }

    private static function card(Material $material, Clef $clef, Pitch $pitch): Card
    {
        $note = Shown::nameOf($clef, $pitch);
        $options = array_map(static function (int $place) use ($clef): Option {
            $of = Pitch::ofDiatonic($clef->bottomLine() + $place);

            return new Option($of->name(), StaffPlace::of($of, $clef));
        }, range(self::HIGHEST, self::LOWEST));
        // From the top: of two places of one letter the first is the higher one.
        $like = array_values(array_filter(array_column($options, 'id'), static fn (string $name): bool => $name[0] === $pitch->letter()));
        $which = match (array_search($pitch->name(), $like, true)) {
            0 => count($like) === 1 ? "the {$pitch->letter()}" : "the higher {$pitch->letter()}",
            default => "the lower {$pitch->letter()}",
        };

        return new Card(
            "place {$note}",
            "Where is {$which} on the {$clef->words()} staff?",
            AnswerBy::Staff,
            [$pitch->name()],
            "It is {$material->where($clef, $pitch)}. {$material->way($clef, $pitch)}",
            StaffLine::write($clef, [[]]),
            $options,
            $note,
        );
    }
}
