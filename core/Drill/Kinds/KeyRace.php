<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Reading\KeyPlace;
use Nasturtium\Core\Score\Pitch;

/** All keys of one name, in ten seconds (trade 15.1, kind 12). */
final readonly class KeyRace implements CardMaker
{
    public function cards(Material $material): array
    {
        return array_map(static function (string $letter): Card {
            $keys = [];
            for ($octave = 0; $octave <= 8; $octave++) {
                $pitch = new Pitch((int) array_search($letter, Pitch::LETTERS, true), $octave);
                if ($pitch->isOnKeyboard()) {
                    $keys[] = (string) $pitch->midi();
                }
            }
            assert($keys !== []);

            return new Card(
                "race {$letter}",
                "Find every {$letter}.",
                AnswerBy::Race,
                $keys,
                "{$letter} is ".explode(',', KeyPlace::of(Pitch::parse("{$letter}4")))[0].'.',
                sign: $letter,
            );
        }, ['C', 'D', 'E', 'F', 'G', 'A', 'B']);
    }
}
