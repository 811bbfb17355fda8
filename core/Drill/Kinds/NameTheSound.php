<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Heard;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Reading\Solfege;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;

/** Do is heard, then another note: which syllable is it? (trade 15.1, kind 14) */
final readonly class NameTheSound implements CardMaker
{
    /** Degrees in the order they are met: so, mi, then their neighbours. */
    private const DEGREES = [4, 2, 0, 1, 5, 3, 6, 7];

    /** C, F and G, each its own do. */
    private const TONICS = ['C4', 'F4', 'G3'];

    private const DO = 1_000;

    public function cards(Material $material): array
    {
        $cards = [];
        foreach (self::DEGREES as $degree) {
            foreach (self::TONICS as $name) {
                $cards[] = self::card(Pitch::parse($name), $degree);
            }
        }

        return $cards;
    }

    private static function card(Pitch $do, int $degree): Card
    {
        $key = Key::parse($do->letter());
        $pitches = array_map(static function (int $up) use ($do, $key): Pitch {
            $letter = Pitch::ofDiatonic($do->diatonic() + $up);

            return Pitch::ofDiatonic($letter->diatonic(), $key->alters($letter->step));
        }, range(0, 7));
        $syllables = array_map(static fn (Pitch $pitch): string => Solfege::of($pitch, $key, $do->step), $pitches);
        $sung = array_slice($syllables, 0, $degree + 1);

        return new Card(
            "sound {$do->name()} {$degree}",
            'First you hear do. What is the second sound?',
            AnswerBy::Option,
            [$syllables[$degree]],
            $degree === 0 ? 'It is do again.' : 'Sing up from do: '.implode(' ', $sung).'.',
            options: Shown::options(array_slice($syllables, 0, 7)),
            hear: [new Heard($do->midi(), 0, self::DO - 100), new Heard($pitches[$degree]->midi(), self::DO, self::DO)],
        );
    }
}
