<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** Which clef, which hand, which of two notes is higher? (trade 15.1, kind 5) */
final readonly class PointAt implements CardMaker
{
    private const ABOUT = [
        'treble' => ['right hand', 'The treble clef curls around the G line. The right hand mostly plays there.'],
        'bass' => ['left hand', 'The two dots of the bass clef stand around the F line. The left hand mostly plays there.'],
    ];

    public function cards(Material $material): array
    {
        $cards = [];
        foreach ([Clef::Treble, Clef::Bass] as $clef) {
            $pitches = $material->on($clef);
            foreach (array_slice($pitches, 0, 3) as $pitch) {
                $cards[] = self::clef($clef, $pitch);
                $cards[] = self::hand($clef, $pitch);
            }
            for ($i = 0; isset($pitches[$i + 2]) && $i < 6; $i++) {
                [$low, $high] = [$pitches[$i], $pitches[$i + 2]];
                array_push($cards, self::higher($clef, $low, $high), self::higher($clef, $high, $low));
            }
        }

        return $cards;
    }

    private static function clef(Clef $clef, Pitch $pitch): Card
    {
        return new Card(
            'point clef '.Shown::nameOf($clef, $pitch),
            'Which clef is this?',
            AnswerBy::Option,
            ["{$clef->words()} clef"],
            self::ABOUT[$clef->value][1] ?? '',
            Shown::note($clef, $pitch),
            Shown::options(['treble clef', 'bass clef']),
        );
    }

    private static function hand(Clef $clef, Pitch $pitch): Card
    {
        return new Card(
            'point hand '.Shown::nameOf($clef, $pitch),
            'Which hand mostly plays on this staff?',
            AnswerBy::Option,
            [self::ABOUT[$clef->value][0] ?? ''],
            self::ABOUT[$clef->value][1] ?? '',
            Shown::note($clef, $pitch),
            Shown::options(['left hand', 'right hand']),
        );
    }

    private static function higher(Clef $clef, Pitch $first, Pitch $second): Card
    {
        $right = $second->midi() > $first->midi() ? 'higher' : 'lower';

        return new Card(
            "point high {$clef->value}:{$first->name()}-{$second->name()}",
            'Is the second note higher or lower?',
            AnswerBy::Option,
            [$right],
            $right === 'higher' ? 'It stands nearer to the top of the staff, and its key lies farther to the right.' : 'It stands nearer to the bottom of the staff, and its key lies farther to the left.',
            Shown::note($clef, $first, $second),
            Shown::options(['higher', 'lower']),
        );
    }
}
