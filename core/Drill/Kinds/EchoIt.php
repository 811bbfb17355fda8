<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Heard;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Score\Pitch;

/** A few notes of a position are heard and played back, longer ones later (trade 15.1, kind 13). */
final readonly class EchoIt implements CardMaker
{
    /** Places in C position, from the thumb; composed for this. */
    private const PHRASES = ['12', '13', '32', '15', '123', '543', '135', '131', '321', '1232', '5345', '1353', '5421', '1324', '12345', '53135', '13542', '54321'];

    /** Milliseconds from note to note. */
    private const EVERY = 600;

    public function cards(Material $material): array
    {
        $cards = [];
        foreach (self::PHRASES as $phrase) {
            $keys = array_map(static fn (string $place): int => Pitch::ofDiatonic(Pitch::parse('C4')->diatonic() + (int) $place - 1)->midi(), str_split($phrase));
            $cards[] = new Card(
                "echo {$phrase}",
                'Thumb on middle C. Listen, then play it back.',
                AnswerBy::Phrase,
                array_map(strval(...), $keys),
                'It was '.implode(' ', array_map(static fn (int $key): string => ['C', '', 'D', '', 'E', 'F', '', 'G'][$key - 60], $keys)).'. Sing it first, then find it.',
                hear: array_map(static fn (int $key, int $i): Heard => new Heard($key, $i * self::EVERY, self::EVERY - 60), $keys, array_keys($keys)),
            );
        }

        return $cards;
    }
}
