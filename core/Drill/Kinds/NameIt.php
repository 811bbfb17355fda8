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

/** A note on its staff: which letter? Later, where a letter is met in several octaves: which of them? (trade 15.1, kind 1) */
final readonly class NameIt implements CardMaker
{
    public function cards(Material $material): array
    {
        return [...array_map(static fn (array $note): Card => self::card($material, ...$note), $material->notes), ...self::octaves($material)];
    }

    /** @return list<Card> of white keys */
    private static function octaves(Material $material): array
    {
        $of = [];
        foreach ($material->notes as [, $pitch]) {
            $of[$pitch->spelled()][$pitch->octave] = $pitch;
        }
        $cards = [];
        foreach ($material->notes as [$clef, $pitch]) {
            $like = $of[$pitch->spelled()];
            if ($pitch->alter !== 0 || count($like) < 2) {
                continue;
            }
            ksort($like);
            $note = Shown::nameOf($clef, $pitch);
            $cards[] = new Card(
                "octave {$note}",
                "Which {$pitch->letter()} is this?",
                AnswerBy::Option,
                [$pitch->name()],
                $material->way($clef, $pitch).' '.ucfirst(self::octave($pitch)).'.',
                Shown::note($clef, $pitch),
                array_map(static fn (Pitch $one): Option => new Option($one->name(), self::octave($one)), array_values($like)),
            );
        }

        return $cards;
    }

    /** `middle C`, `G below middle C`, `high C` */
    private static function octave(Pitch $pitch): string
    {
        $letter = $pitch->letter();
        $isC = $letter === 'C';

        return match ($pitch->octave) {
            0, 1 => "the lowest {$letter}",
            2 => "low {$letter}",
            3 => "the {$letter} below middle C",
            4 => $isC ? 'middle C' : "the {$letter} above middle C",
            5 => "high {$letter}",
            default => "the highest {$letter}",
        };
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
