<?php

declare(strict_types=1);

namespace Nasturtium\Core\Wording;

use Nasturtium\Core\Counting\NoteWords;

/**
 * The product's sentences in a variety of English. All are written with British words; another variety is a table of the
 * words that are others there. What stands in quotes is somebody's own and stays as it is.
 */
final readonly class Variety
{
    /** American English, by the British word. What no teacher there says otherwise, as `bar line`, is not in it. */
    public const AMERICAN = [
        'bar' => 'measure', 'bars' => 'measures', 'bar line' => 'bar line', 'bar lines' => 'bar lines', 'double bar' => 'double bar',
        'practise' => 'practice', 'practises' => 'practices', 'practised' => 'practiced', 'practising' => 'practicing',
        'learnt' => 'learned', 'colour' => 'color', 'colours' => 'colors', 'mum' => 'mom', 'cancelled' => 'canceled', 'favourite' => 'favorite',
        'centre' => 'center', 'grey' => 'gray', 'programme' => 'program', 'organise' => 'organize', 'recognise' => 'recognize',
    ];

    /** What is quoted; or a word, hyphens and all. */
    private const WORD = '/“[^”]*”|(?<![\p{L}\'])\'[^\']*\'(?!\p{L})|bar lines?|double bar|\p{L}+(?:-\p{L}+)*/iu';

    /** @param string $text `Play bars 3 to 5.` */
    public static function in(NoteWords $words, string $text): string
    {
        return $words === NoteWords::British ? $text : (string) preg_replace_callback(self::WORD, self::american(...), $text);
    }

    /** @param array<int|string, string> $found */
    private static function american(array $found): string
    {
        $british = $found[0];
        $as = self::AMERICAN[mb_strtolower($british)] ?? $british;

        return ctype_upper($british[0]) ? ucfirst($as) : $as;
    }
}
