<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Reading\Move;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** Two notes: repeat, step, skip or leap, and which way? (trade 15.1, kind 4) */
final readonly class WhichWay implements CardMaker
{
    private const MOVES = ['leap up', 'skip up', 'step up', 'repeat', 'step down', 'skip down', 'leap down'];

    /** So many cards of one move on one staff. */
    private const OF_A_MOVE = 3;

    /** Steps and repeats before skips, and leaps last. */
    public function cards(Material $material): array
    {
        $cards = [];
        foreach ([Clef::Treble, Clef::Bass] as $clef) {
            $of = [];
            foreach ($pitches = $material->on($clef) as $from) {
                foreach ($pitches as $to) {
                    $steps = $to->diatonic() - $from->diatonic();
                    $move = $from->alter === 0 && $to->alter === 0 && abs($steps) < 8 ? self::moveOf($steps) : null;
                    if ($move !== null && count($of[$move] ?? []) < self::OF_A_MOVE) {
                        $of[$move][] = self::card($clef, $from, $to, $move);
                    }
                }
            }
            $cards = [...$cards, ...array_merge(...array_values($of))];
        }
        $far = array_flip(['step up', 'step down', 'repeat', 'skip up', 'skip down', 'leap up', 'leap down']);
        usort($cards, static fn (Card $a, Card $b): int => $far[$a->right[0]] <=> $far[$b->right[0]]);

        return $cards;
    }

    private static function moveOf(int $steps): string
    {
        // Of a leap the number comes later.
        return (string) preg_replace('/^(leap (?:up|down)).*/', '$1', Move::of($steps));
    }

    private static function card(Clef $clef, Pitch $from, Pitch $to, string $move): Card
    {
        $steps = $to->diatonic() - $from->diatonic();

        return new Card(
            "way {$clef->value}:{$from->name()}-{$to->name()}",
            'How does it go from the first note to the second?',
            AnswerBy::Option,
            [$move],
            ucfirst(Move::of($steps)).': '.self::why($steps),
            Shown::note($clef, $from, $to),
            Shown::options(self::MOVES),
        );
    }

    private static function why(int $steps): string
    {
        $way = $steps > 0 ? 'up' : 'down';

        return match (abs($steps)) {
            0 => 'the same line or space again.',
            1 => "from a line to the next space, or from a space to the next line, {$way}.",
            2 => "from line to line or from space to space, {$way}; one letter is left out.",
            default => 'count every line and space, the first and the last too.',
        };
    }
}
