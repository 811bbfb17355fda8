<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Drill\Option;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** A note on its staff: which letter? (trade 15.1, kind 1) */
final readonly class NameIt implements CardMaker
{
    public function cards(Material $material): array
    {
        return array_map(static fn (array $note): Card => self::card($material, ...$note), $material->notes);
    }

    private static function card(Material $material, Clef $clef, Pitch $pitch): Card
    {
        $note = Shown::nameOf($clef, $pitch);

        return new Card(
            "name {$note}",
            'Which note is this?',
            AnswerBy::Option,
            [$pitch->spelled()],
            $material->way($clef, $pitch),
            Shown::note($clef, $pitch),
            self::letters($pitch),
            $note,
        );
    }

    /** @return list<Option> the seven letters; bent as the note is, so that only the letter is asked */
    private static function letters(Pitch $pitch): array
    {
        return array_map(static function (string $letter) use ($pitch): Option {
            $spelled = $letter.substr($pitch->spelled(), 1);

            return new Option($spelled, strtr($spelled, ['#' => '♯', 'b' => '♭']));
        }, ['A', 'B', 'C', 'D', 'E', 'F', 'G']);
    }
}
