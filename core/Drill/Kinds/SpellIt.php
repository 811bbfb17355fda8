<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\AnswerBy;
use Nasturtium\Core\Drill\Card;
use Nasturtium\Core\Drill\CardMaker;
use Nasturtium\Core\Drill\Material;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** Words of the letters A to G, written in notes the student has met (trade 15.1, kind 11). */
final readonly class SpellIt implements CardMaker
{
    public const WORDS = [
        'BAG', 'BED', 'CAB', 'DAD', 'EGG', 'FED', 'BEE', 'ACE', 'ADD', 'AGE', 'BAD', 'BEG', 'FAB', 'FAD', 'GAB', 'DAB', 'EBB',
        'CAGE', 'FACE', 'BEAD', 'FADE', 'DEAF', 'FEED', 'EDGE', 'CAFE', 'BEEF', 'ACED', 'AGED', 'BADE', 'DEED', 'EDGED',
        'BADGE', 'CABBAGE', 'FACADE', 'FACED', 'ADDED', 'BAGGAGE', 'CAGED', 'DECADE', 'FADED', 'EGGED', 'DEFACE',
    ];

    private const OPTIONS = 4;

    private const MOST = 20;

    /** Short words first. */
    public function cards(Material $material): array
    {
        $cards = [];
        foreach ([Clef::Treble, Clef::Bass] as $clef) {
            $notes = self::byLetter($material, $clef);
            foreach (self::WORDS as $at => $word) {
                if (array_diff(str_split($word), array_keys($notes)) === []) {
                    $cards[] = self::card($material, $clef, $word, $at, $notes);
                }
            }
        }
        usort($cards, static fn (Card $a, Card $b): int => strlen($a->right[0]) <=> strlen($b->right[0]));

        return array_slice($cards, 0, self::MOST);
    }

    /** @return array<string, Pitch> the lowest note of each letter that was met on a staff */
    public static function byLetter(Material $material, Clef $clef): array
    {
        $notes = [];
        foreach ($material->on($clef) as $pitch) {
            if ($pitch->alter === 0) {
                $notes[$pitch->letter()] ??= $pitch;
            }
        }

        return $notes;
    }

    /** @param array<string, Pitch> $notes */
    private static function card(Material $material, Clef $clef, string $word, int $at, array $notes): Card
    {
        $pitches = array_map(static fn (string $letter): Pitch => $notes[$letter], str_split($word));
        $places = array_map(static fn (Pitch $pitch): string => "{$pitch->letter()} is ".$material->where($clef, $pitch), $pitches);

        return new Card(
            "spell {$clef->value}:{$word}",
            'Which word is written here?',
            AnswerBy::Option,
            [$word],
            ucfirst(implode(', ', array_unique($places))).'.',
            Shown::note($clef, ...$pitches),
            Shown::options(self::choices($word, $at)),
        );
    }

    /** @return list<string> the word among others as long, in the order of the alphabet */
    private static function choices(string $word, int $at): array
    {
        $others = array_values(array_filter(self::WORDS, static fn (string $other): bool => strlen($other) === strlen($word) && $other !== $word));
        $choices = [$word];
        for ($i = 0; count($choices) < min(self::OPTIONS, 1 + count($others)); $i++) {
            $choices[] = $others[($at + $i) % count($others)];
        }
        sort($choices);

        return $choices;
    }
}
