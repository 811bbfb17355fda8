<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** What the words of tempo and manner mean that a beginner's page has (trade 3.8). */
final readonly class TempoWords
{
    private const MEANINGS = [
        'largo' => 'very slow and broad',
        'lento' => 'slow',
        'adagio' => 'slow, at ease',
        'andantino' => 'a little quicker than a walk',
        'andante' => 'at a walking pace',
        'moderato' => 'at a moderate pace',
        'allegretto' => 'fairly lively',
        'allegro' => 'lively and quick',
        'vivace' => 'very lively',
        'presto' => 'very fast',
        'cantabile' => 'in a singing way',
        'dolce' => 'sweetly',
        'legato' => 'smoothly joined',
        'maestoso' => 'grandly',
        'con moto' => 'with movement',
        'espressivo' => 'with expression',
        'giocoso' => 'playfully',
        'grazioso' => 'gracefully',
        'tempo di marcia' => 'as a march',
        'ritardando' => 'slowing down',
        'rit.' => 'slowing down',
        'rallentando' => 'slowing down',
        'a tempo' => 'back to the tempo',
        'poco' => 'a little',
        'molto' => 'very',
    ];

    /** @return list<string> `andante: at a walking pace`, in the order of the words; none for words that are known to everybody */
    public static function meanings(string $words): array
    {
        $found = [];
        $said = mb_strtolower($words);
        foreach (self::MEANINGS as $word => $meaning) {
            $at = preg_match('/(?<![\p{L}])'.preg_quote($word, '/').'(?![\p{L}])/u', $said, $match, PREG_OFFSET_CAPTURE) === 1 ? $match[0][1] : null;
            if ($at !== null) {
                $found[$at] = "{$word}: {$meaning}";
            }
        }
        ksort($found);

        return array_values($found);
    }
}
